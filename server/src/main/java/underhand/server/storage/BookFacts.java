package underhand.server.storage;

import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** What is to be known of the book itself, by name. */
@Component
public class BookFacts {

    private final JdbcTemplate jdbc;
    private final Writes writes;

    BookFacts(JdbcTemplate jdbc, Writes writes) {
        this.jdbc = jdbc;
        this.writes = writes;
    }

    public Optional<String> get(String name) {
        return jdbc
                .query("select content from book_fact where name = ?", (row, number) -> row.getString(1), name)
                .stream()
                .findFirst();
    }

    public void set(String name, String content) {
        writes.in(() -> jdbc.update("merge into book_fact (name, content) key (name) values (?, ?)", name, content));
    }
}
