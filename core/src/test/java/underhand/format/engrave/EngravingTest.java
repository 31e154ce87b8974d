package underhand.format.engrave;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.chart.FoldedBar;
import underhand.format.engrave.Lettering.Face;
import underhand.format.score.Handedness;
import underhand.format.score.ScoredPart;
import underhand.format.staff.StaffBar;
import underhand.format.staff.StaffNote;
import underhand.format.staff.StaffWriter;
import underhand.format.text.ChartTextReader;
import underhand.part.Notation;
import underhand.part.Part;
import underhand.part.PartBar;
import underhand.picking.PatternPlan;
import underhand.picking.PickingPattern;
import underhand.settings.ArrangementSettings;

/** What stands in the rows of staff and tab, counted mark by mark. */
class EngravingTest {

    private static final Lettering LETTERS = (face, points, text) -> 0.55f * points * text.length();
    private static final String CHORDS = "C G Am F Dm Em F#m7 Bbmaj7 G/B E7 Bm7b5 Eb";

    /** A chord's name and its left end. */
    private record Name(String text, float x) {}

    /** Everything drawn in a row, by its kind. */
    private static final class Marks implements Ink {

        private final List<String> frets = new ArrayList<>();
        private final List<Name> names = new ArrayList<>();
        private final List<String> plain = new ArrayList<>();
        private final List<Integer> signs = new ArrayList<>();
        private final List<float[]> places = new ArrayList<>();

        static Marks of(Engraving.Row row) {
            Marks marks = new Marks();
            row.draw(marks);
            return marks;
        }

        private void at(float x, float y) {
            places.add(new float[] {x, y});
        }

        @Override
        public void text(Face face, float points, float x, float y, String text) {
            at(x, y);
            if (face == Face.MONO) {
                frets.add(text);
            } else if (face == Face.BOLD) {
                names.add(new Name(text, x));
            } else {
                plain.add(text);
            }
        }

        @Override
        public void sign(int sign, float space, float x, float y) {
            at(x, y);
            signs.add(sign);
        }

        @Override
        public void line(float x1, float y1, float x2, float y2, float wide) {
            at(x1, y1);
            at(x2, y2);
        }

        @Override
        public void arc(float x1, float x2, float y, float bend) {
            at(x1, y);
            at(x2, y);
        }

        @Override
        public void blank(float x, float y, float wide, float tall) {
            at(x, y);
        }

        long count(int from, int to) {
            return signs.stream().filter(sign -> sign >= from && sign <= to).count();
        }
    }

    private static ScoredPart scored(String song, String pattern) {
        ArrangementSettings settings = ArrangementSettings.ofRung(3)
                .withPatterns(PatternPlan.of(PickingPattern.parse("t", "t", "4/4", false, 1, pattern)));
        Arrangement arrangement =
                new Arranger().arrange(ChartTextReader.read(song).chart(), settings);
        return new ScoredPart("Guitar", Part.of(arrangement, List.of()), settings.tuning(), false, Handedness.RIGHT);
    }

    /** Songs of one to twenty bars in up to three sections, strummed and picked. */
    private static final List<ScoredPart> SONGS = randomSongs().toList();

    private static Stream<ScoredPart> songs() {
        return SONGS.stream();
    }

    private static Stream<ScoredPart> randomSongs() {
        Random random = new Random(26);
        List<String> chords = List.of(CHORDS.split(" "));
        List<String> patterns =
                List.of("D . D U . U D U", "D> D D D", "r l m h m l m h", "D U D U D U D U D U D U D U D U");
        return IntStream.range(0, 40).mapToObj(n -> {
            StringBuilder song = new StringBuilder("key: C\ntempo: 72\n");
            for (int section = 0; section <= random.nextInt(3); section++) {
                song.append("[Part ").append(section).append("]\n|");
                for (int bar = 0; bar <= random.nextInt(7); bar++) {
                    String chord = chords.get(random.nextInt(chords.size()));
                    song.append(' ')
                            .append(chord)
                            .append(random.nextBoolean() ? " | " + chord : "")
                            .append(" |");
                }
                song.append('\n');
            }
            return scored(song.toString(), patterns.get(n % patterns.size()));
        });
    }

    @ParameterizedTest
    @MethodSource("songs")
    void everyBarStandsOnce_andSectionsBeginRows(ScoredPart scored) {
        List<PartBar> bars = scored.part().bars();
        for (float width : new float[] {150, 300, 499, 1200}) {
            for (boolean writtenOut : new boolean[] {false, true}) {
                List<Integer> plays = new ArrayList<>();
                for (Engraving.Row row : Engraving.rows(scored, writtenOut, width, LETTERS)) {
                    assertEquals(row.bar(), row.plays().get(0));
                    row.plays().stream()
                            .skip(1)
                            .forEach(bar -> assertTrue(
                                    bars.get(bar - 1).section().isEmpty(), "bar " + bar + " opens a section"));
                    plays.addAll(row.plays());
                }
                List<Integer> all = bars.stream().map(PartBar::number).toList();
                assertEquals(all, writtenOut ? plays : plays.stream().sorted().toList());
            }
        }
    }

    /** Dots on both sides of what comes again, in staff and tab, a number over each ending, and how often where not twice. */
    @Test
    void repeats_haveTheirSigns() {
        ScoredPart scored = scored("key: C\n|: C | F :| x3\n|: Am | G |1. F :|2. C |", "D D D D");
        List<Marks> signs = Engraving.rows(scored, false, 499, LETTERS).stream()
                .map(Marks::of)
                .toList();
        assertEquals(
                4 * 4,
                signs.stream().mapToLong(m -> m.count(Signs.DOT, Signs.DOT)).sum());
        List<String> names =
                signs.stream().flatMap(m -> m.names.stream()).map(Name::text).toList();
        assertEquals(List.of("C", "×3", "F BI", "Am", "G", "F BI", "C"), names);
        assertTrue(signs.stream().flatMap(m -> m.plain.stream()).toList().containsAll(List.of("1.", "2.")));
        List<Marks> out = Engraving.rows(scored, true, 499, LETTERS).stream()
                .map(Marks::of)
                .toList();
        assertEquals(
                0, out.stream().mapToLong(m -> m.count(Signs.DOT, Signs.DOT)).sum());
        assertEquals(12, out.stream().mapToLong(m -> m.names.size()).sum());
    }

    @ParameterizedTest
    @MethodSource("songs")
    void nothingStandsOutsideItsRow(ScoredPart scored) {
        for (float width : new float[] {200, 499}) {
            for (Engraving.Row row : Engraving.rows(scored, true, width, LETTERS)) {
                for (float[] place : Marks.of(row).places) {
                    assertTrue(place[0] >= -0.01 && place[0] <= width + 0.01, "x " + place[0] + " of " + width);
                    assertTrue(place[1] >= 0 && place[1] <= row.height(), "y " + place[1] + " of " + row.height());
                }
            }
        }
    }

    /** Written out, each note of each stroke has its fret, and its heads, as many as its length takes values. */
    @ParameterizedTest
    @MethodSource("songs")
    void everyNoteStands_onStaffAndTab(ScoredPart scored) {
        long frets = 0;
        long heads = 0;
        for (Engraving.Row row : Engraving.rows(scored, true, 499, LETTERS)) {
            Marks marks = Marks.of(row);
            frets += marks.frets.size();
            heads += marks.count(Signs.HEAD_WHOLE, Signs.HEAD_X);
        }
        List<Notation.Event> events = Notation.of(scored.part()).stream()
                .flatMap(bar -> bar.events().stream())
                .toList();
        assertEquals(events.stream().mapToInt(e -> e.notes().size()).sum(), frets);
        assertEquals(
                events.stream()
                        .mapToInt(e -> e.notes().size() * e.values().size())
                        .sum(),
                heads);
    }

    /** In short, strums are slashes, and a bar like the one before is a sign where it does not begin its row. */
    @ParameterizedTest
    @MethodSource("songs")
    void signsStandForWhatTheyRepeat(ScoredPart scored) {
        List<StaffBar> bars = StaffWriter.write(scored.part(), true);
        for (Engraving.Row row : Engraving.rows(scored, false, 499, LETTERS)) {
            List<FoldedBar> here = scored.foldedNotes().stream()
                    .filter(bar -> row.plays().contains(bar.bar()))
                    .toList();
            List<StaffBar> whole = new ArrayList<>();
            for (FoldedBar bar : here) {
                StaffBar written = bars.get(bar.bar() - 1);
                boolean isSign =
                        bar != here.get(0) && !bar.opens() && written.written().again();
                if (!isSign) {
                    whole.add(written);
                }
            }
            long again = here.size() - whole.size();
            Marks marks = Marks.of(row);
            assertEquals(again, marks.count(Signs.REPEAT_BAR, Signs.REPEAT_BAR));
            long slashes = whole.stream()
                    .flatMap(StaffBar::notes)
                    .filter(StaffNote::slash)
                    .count();
            assertEquals(slashes, marks.count(Signs.SLASH, Signs.SLASH_HALF));
        }
    }

    /** Every chord has its name where it begins; the first bar its metre, and later ones where it changes. */
    @Test
    void namesAndMetres_standWhereTheyBegin() {
        List<Engraving.Row> rows =
                Engraving.rows(scored("key: C\n[A]\n| C | C | F | G |\n", "D D D D"), true, 499, LETTERS);
        List<String> names = rows.stream()
                .flatMap(row -> Marks.of(row).names.stream())
                .map(Name::text)
                .toList();
        assertEquals(List.of("C", "C", "F BI", "G"), names);
        assertEquals(
                List.of(Signs.TIME_0 + 4, Signs.TIME_0 + 4),
                rows.stream()
                        .flatMap(row -> Marks.of(row).signs.stream())
                        .filter(sign -> sign >= Signs.TIME_0 && sign <= Signs.TIME_0 + 9)
                        .toList());
    }

    /** However wide, each name ends before the next begins. */
    @ParameterizedTest
    @MethodSource("songs")
    void noNameReachesTheNext(ScoredPart scored) {
        for (Engraving.Row row : Engraving.rows(scored, false, 499, LETTERS)) {
            List<Name> names = Marks.of(row).names;
            for (int i = 1; i < names.size(); i++) {
                Name before = names.get(i - 1);
                float end = before.x() + LETTERS.width(Face.BOLD, Spacing.NAME, before.text());
                assertTrue(end < names.get(i).x(), before + " reaches " + names.get(i));
            }
        }
    }
}
