package underhand.server.arrangements;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.stream.IntStream;
import underhand.chart.FoldedBar;
import underhand.hand.Grip;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Tuning;
import underhand.server.players.HouseRulesRequest;
import underhand.server.shapes.GripView;

/**
 * An arrangement as the API gives it; {@link ArrangementMapper} fills it.
 *
 * @param houseRules what holds of each, whoever said so
 * @param texture the kind of part that is played
 * @param hasTune whether the chart has a tune
 * @param octave octaves the tune is played above where the chart has it; null where it is not on top
 * @param moments what the hand holds of a tune and its chords, in the order of time; none where it is not on top
 * @param notes every note of that
 * @param tuning open strings without the capo, the lowest first
 * @param newShapes places at which a shape is played for the first time
 * @param neck positions of frets and fingertips
 * @param budget what was left out of a comparison that would have been too long; null when nothing was
 */
public record ArrangementView(
        String title,
        String key,
        String playedKey,
        String metre,
        int tempo,
        int rung,
        String setting,
        String tuning,
        HouseRulesRequest houseRules,
        CapoView capo,
        RightHandView rightHand,
        TextureView texture,
        List<SectionKeyView> sections,
        List<PlacementView> placements,
        List<ChangeView> changes,
        boolean hasTune,
        @Schema(nullable = true) Integer octave,
        List<MomentView> moments,
        List<SoundingNoteView> notes,
        List<Integer> newShapes,
        NeckView neck,
        double total,
        int fastestTempo,
        List<WarningView> warnings,
        List<WordsView> words,
        List<RepeatedBarView> repeats,
        List<FaultView> faults,
        @Schema(nullable = true) BudgetView budget) {

    /**
     * Positions along the strings, as parts of the open string's length from the nut, by fret from the nut as 0.
     *
     * @param frets the frets themselves
     * @param presses where a fingertip presses behind its fret
     */
    public record NeckView(List<Double> frets, List<Double> presses) {

        public static NeckView of(Guitar guitar) {
            Fretboard board = new Fretboard(guitar, Tuning.STANDARD, 0);
            return new NeckView(
                    IntStream.rangeClosed(0, guitar.frets())
                            .mapToObj(fret -> part(board.fretMm(fret), guitar))
                            .toList(),
                    IntStream.rangeClosed(0, guitar.frets())
                            .mapToObj(fret -> part(board.pressMm(fret), guitar))
                            .toList());
        }

        private static double part(double mm, Guitar guitar) {
            return Math.round(mm / guitar.scaleLengthMm() * 100_000) / 100_000.0;
        }
    }

    /**
     * What the right hand plays: in most of the song, and in each section.
     *
     * @param pattern id of a pattern that ships, or {@code own}
     * @param reason why it was chosen; blank where the player chose it
     */
    public record RightHandView(String pattern, String name, String reason, List<SectionHandView> sections) {}

    /**
     * @param own whether the player chose it
     * @param steps as a pattern is written
     */
    public record SectionHandView(
            String section, String pattern, String name, String steps, boolean own, String reason) {}

    /**
     * @param cut what was not compared, in words
     * @param bound how much less effort the best part could be at most
     */
    public record BudgetView(List<String> cut, double bound) {}

    /**
     * @param leastEffort the fret that is best of those tried, whatever was chosen: the lowest whose effort is within 3% of the least
     * @param swept whether all frets were tried; else the chosen one stands alone among the candidates
     */
    public record CapoView(int chosen, int leastEffort, boolean swept, List<CandidateView> candidates) {}

    /** @param beyond placements that need more than the player's rung */
    public record CandidateView(
            int capo,
            double total,
            int barres,
            int beyond,
            @Schema(nullable = true) WorstChangeView worstChange,
            List<String> reasons) {}

    public record WorstChangeView(int from, int to, double neededSeconds, double availableSeconds, double widestMm) {}

    /**
     * @param index place in the part, which changes and warnings refer to
     * @param placement place in the chart, which locks refer to
     * @param part which chord of the placement's reading this is, from 0
     * @param chord sounding chord; null where nothing is played
     * @param played the chord as its shape is called above the capo
     * @param newLine whether a line of the page begins here: a section, a line of the chart, four bars more of a long one
     * @param top the note of the tune that is played or held as the place begins; null where none is
     * @param keeps how the grip keeps to the one its chord has elsewhere; null where nothing is to be said
     * @param singer how the grip stands to what is sung over it; null where nothing is to be said
     * @param texture the kind of part asked for here
     * @param fallback why the grip is none of that kind; null where it is
     * @param fingerings other fingers for the same shape, the cheapest first
     * @param alternatives other shapes, each in its best fingering
     */
    public record PlacementView(
            int index,
            int placement,
            int part,
            int bar,
            double beat,
            double beats,
            boolean newLine,
            String section,
            String lyric,
            @Schema(nullable = true) String chord,
            @Schema(nullable = true) String played,
            @Schema(nullable = true) String degree,
            ReadingView reading,
            @Schema(nullable = true) FunctionView function,
            @Schema(nullable = true) GripView grip,
            @Schema(nullable = true) TopView top,
            @Schema(nullable = true) String keeps,
            @Schema(nullable = true) String singer,
            boolean locked,
            String texture,
            @Schema(nullable = true) FallbackView fallback,
            List<AlternativeView> fingerings,
            List<AlternativeView> alternatives) {}

    /**
     * Which reading of a placement is played.
     *
     * @param id {@code original} for the chord as the chart has it
     * @param chord the chord this place sounds
     * @param original the chart's own chord
     * @param reason why it may stand here; blank for the original
     * @param bound whether one string, or one grip, alone moves from here to the next place
     */
    public record ReadingView(String id, String chord, String original, String reason, boolean bound) {}

    /**
     * What the chart's chord does in its key.
     *
     * @param numeral Roman numeral, with the degree it leads to for a secondary dominant
     */
    public record FunctionView(String kind, String numeral, String words) {}

    /**
     * The key of a section.
     *
     * @param runnerUp the key that fits next best, and how well: higher is better
     */
    public record SectionKeyView(
            String section, int bar, String key, double score, String runnerUp, double runnerUpScore) {}

    /** @param price how much dearer the whole song becomes with this grip here */
    public record AlternativeView(GripView grip, double price) {}

    public record ChangeView(
            int from,
            int to,
            List<ActView> acts,
            GripView.EffortView effort,
            double neededSeconds,
            double availableSeconds,
            int holdsUpTo,
            List<VoiceView> voices) {}

    /**
     * A voice from one grip to the next, the highest first.
     *
     * @param string the one it reaches, from the highest as 1
     * @param from note it leaves, such as F3
     * @param to note it reaches
     * @param semitones up, negative for down
     */
    public record VoiceView(int string, String from, String to, int semitones) {}

    /**
     * A stretch of time in which the hand holds one grip under a tune.
     *
     * @param place index of its chord's place
     * @param beat it begins on, from 1
     * @param frets from the lowest string, null for silent
     */
    public record MomentView(
            int place,
            int bar,
            double beat,
            double beats,
            List<Integer> frets,
            List<String> fingers,
            @Schema(nullable = true) TopView top) {}

    /**
     * A note of the tune.
     *
     * @param note as it sounds, such as E5
     * @param string from the highest as 1
     * @param fret from the capo
     * @param words what it is in its chord; blank without one
     */
    public record TopView(String note, int string, int fret, String words) {}

    /**
     * A note as it sounds.
     *
     * @param beat it begins on, from 1
     * @param string from the highest as 1
     * @param fret from the capo
     * @param tune whether it is the tune's, not under it
     */
    public record SoundingNoteView(
            int bar, double beat, double beats, int string, int fret, String note, boolean tune) {}

    /** Why a chord was taken from outside its texture. */
    public record FallbackView(String reason) {}

    /**
     * @param chosen the texture of the song, where no section or chord has another
     * @param ranked those that may be chosen, the one that fits best first
     */
    public record TextureView(String chosen, List<RankedTextureView> ranked) {}

    /**
     * @param words what it is
     * @param lowestRung the first rung whose hand plays it
     * @param reason why it fits, or does not
     */
    public record RankedTextureView(String texture, String words, int lowestRung, String reason) {}

    public record ActView(String finger, String act, double distanceMm) {

        /** @param finger its number, the thumb's among them */
        public static ActView of(int finger, String act, double distanceMm) {
            return new ActView(finger == Grip.THUMB ? "T" : Integer.toString(finger), act, GripView.round(distanceMm));
        }
    }

    /** @param placements what it is about; empty for the whole song */
    public record WarningView(String kind, String text, List<Integer> placements) {}

    /**
     * A bar that a sheet has once for several, or that a repeat or one of its endings begins or ends with.
     *
     * @param bar its number, from 1
     * @param plays numbers of the bars it stands for, its own first; the others need not stand on a sheet
     * @param opens whether a repeat begins with it
     * @param times how often the passage that goes back from it is played; 0 where none goes back
     * @param ending number of the ending it belongs to, from 1; 0 for none
     */
    public record RepeatedBarView(
            int bar,
            List<Integer> plays,
            boolean opens,
            int times,
            int ending,
            boolean endingBegins,
            boolean endingEnds) {

        static RepeatedBarView of(FoldedBar bar) {
            return new RepeatedBarView(
                    bar.bar(),
                    bar.plays(),
                    bar.opens(),
                    bar.times(),
                    bar.ending(),
                    bar.endingBegins(),
                    bar.endingEnds());
        }
    }

    /**
     * Words of the song without chords.
     *
     * @param bar bars of the song that stand before them
     * @param heading name of the part they are; blank inside another part
     */
    public record WordsView(int bar, String heading, List<String> lines) {}

    /**
     * A place of the chart that was not understood, or can be read otherwise.
     *
     * @param kind {@code unread}, {@code unsure} or {@code told}
     * @param mends edits of the text that settle it
     */
    public record FaultView(
            String kind,
            int line,
            int column,
            String input,
            String message,

            @Schema(nullable = true) String suggestion,

            List<MendView> mends) {}

    /** An edit: what stands from one place up to another, lines and columns from 1, gives way to a text. */
    public record MendView(String label, int fromLine, int fromColumn, int toLine, int toColumn, String text) {}
}
