package underhand.server.tunings;

import underhand.server.documents.DocumentRepository;

interface OwnTuningRepository extends DocumentRepository<OwnTuningEntity> {}
