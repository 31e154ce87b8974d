package underhand.server.demo;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import underhand.server.drills.DrillService;
import underhand.server.players.PlayerService;
import underhand.server.songs.SongService;
import underhand.server.storage.BookFacts;
import underhand.server.storage.Writes;

/** The demo fills a new book, once, and never anybody's own. */
class DemoBookTest {

    private final DrillService drills = mock();
    private final SongService songs = mock();
    private final PlayerService players = mock(RETURNS_DEEP_STUBS);
    private final BookFacts facts = mock();
    private final Writes writes = mock();

    private void start(boolean demo, boolean untouched, String madeFor) {
        when(songs.isUntouched()).thenReturn(untouched);
        when(players.isUntouched()).thenReturn(untouched);
        when(facts.get("made for")).thenReturn(Optional.ofNullable(madeFor));
        doAnswer(call -> {
                    call.<Runnable>getArgument(0).run();
                    return null;
                })
                .when(writes)
                .in(any(Runnable.class));
        new DemoBook(drills, songs, players, facts, writes, demo, false).afterSingletonsInstantiated();
    }

    @Test
    void newBook_demoAskedFor_isFilledAndMarked() {
        start(true, true, null);
        verify(songs, times(8)).add(anyString(), anyInt());
        verify(facts).set("made for", "demo");
    }

    @Test
    void newBook_notAskedFor_isOnesOwnFromNowOn() {
        start(false, true, null);
        verify(songs, never()).add(anyString(), anyInt());
        verify(facts).set("made for", "own");
    }

    @Test
    void emptyBookOfOnesOwn_demoAskedFor_staysEmpty() {
        start(true, true, "own");
        verify(songs, never()).add(anyString(), anyInt());
    }

    @Test
    void demoBookThatWasEmptied_isNotFilledAgain() {
        start(true, true, "demo");
        verify(songs, never()).add(anyString(), anyInt());
    }

    @Test
    void olderBookWithSongs_isOnesOwn() {
        start(true, false, null);
        verify(songs, never()).add(anyString(), anyInt());
        verify(facts).set("made for", "own");
    }
}
