package underhand.server.storage;

import com.zaxxer.hikari.HikariDataSource;
import java.util.Optional;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The one way into the book. A write is all or nothing, and lies on the disk, not in a buffer, before it is answered. Writers
 * wait for one another; where another process writes to the same database and was faster, the work is done anew on what it
 * left, and finds that it is stale.
 */
@Component
public class Writes {

    private static final int MOST_ATTEMPTS = 4;

    private final TransactionTemplate transactions;
    private final JdbcTemplate jdbc;
    private final DataSource source;
    private final Room room;
    private final boolean isH2;
    private final ReentrantLock one = new ReentrantLock(true);

    Writes(
            PlatformTransactionManager manager,
            DataSource source,
            Room room,
            @Value("${spring.datasource.url}") String url) {
        this.transactions = new TransactionTemplate(manager);
        this.jdbc = new JdbcTemplate(source);
        this.source = source;
        this.room = room;
        this.isH2 = url.startsWith("jdbc:h2:");
    }

    /**
     * Does some work on the book.
     *
     * @param work done again, from the start, when somebody else was faster
     * @throws StorageException when the disk takes nothing; then nothing was stored
     */
    public <T> T in(Supplier<T> work) {
        if (one.isHeldByCurrentThread()) {
            return work.get();
        }
        room.require();
        one.lock();
        try {
            return attempted(work);
        } catch (DataAccessException | TransactionException e) {
            throw disk(e).<RuntimeException>map(d -> d).orElse(e);
        } finally {
            one.unlock();
        }
    }

    /** The same for work that answers nothing. */
    public void in(Runnable work) {
        in(() -> {
            work.run();
            return null;
        });
    }

    private <T> T attempted(Supplier<T> work) {
        for (int attempt = 1; ; attempt++) {
            try {
                T made = transactions.execute(status -> work.get());
                if (isH2) {
                    jdbc.execute("CHECKPOINT SYNC");
                }
                return made;
            } catch (ConcurrencyFailureException | DataIntegrityViolationException e) {
                if (attempt == MOST_ATTEMPTS) {
                    throw e;
                }
            }
        }
    }

    /** The disk's fault in a failure. The database has closed itself then: its connections are given back to be made anew. */
    private Optional<StorageException> disk(RuntimeException failure) {
        return StorageException.reasonOf(failure).map(reason -> {
            if (source instanceof HikariDataSource pool && pool.getHikariPoolMXBean() != null) {
                pool.getHikariPoolMXBean().softEvictConnections();
            }
            return new StorageException(reason, failure);
        });
    }
}
