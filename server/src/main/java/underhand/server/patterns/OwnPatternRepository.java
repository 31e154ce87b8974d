package underhand.server.patterns;

import underhand.server.documents.DocumentRepository;

interface OwnPatternRepository extends DocumentRepository<OwnPatternEntity> {}
