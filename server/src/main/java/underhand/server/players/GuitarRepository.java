package underhand.server.players;

import underhand.server.documents.DocumentRepository;

interface GuitarRepository extends DocumentRepository<GuitarEntity> {}
