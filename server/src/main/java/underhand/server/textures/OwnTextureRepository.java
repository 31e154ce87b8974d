package underhand.server.textures;

import underhand.server.documents.DocumentRepository;

interface OwnTextureRepository extends DocumentRepository<OwnTextureEntity> {}
