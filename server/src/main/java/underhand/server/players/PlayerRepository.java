package underhand.server.players;

import underhand.server.documents.DocumentRepository;

interface PlayerRepository extends DocumentRepository<PlayerEntity> {}
