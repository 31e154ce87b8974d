package underhand.server.documents;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.repository.NoRepositoryBean;

/** Where the documents of a kind lie. */
@NoRepositoryBean
public interface DocumentRepository<E extends Document<?>> extends JpaRepository<E, Long> {

    List<E> findAllByRemovedAtIsNullOrderByIdAsc();

    Optional<E> findByIdAndRemovedAtIsNull(long id);

    Optional<E> findByIdAndRemovedAtIsNotNull(long id);

    long countByRemovedAtIsNull();
}
