package underhand.server.files;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import underhand.format.engrave.Breaks;

/**
 * What stands on a sheet from top to bottom, collected first and then shared out to pages. A chapter begins on a page of its
 * own; pages after its first have its name at their foot, and all have their number where there are several.
 */
final class PdfFlow {

    /** Draws something from the place reached on a page downwards. */
    @FunctionalInterface
    interface Drawing {
        void draw(PdfCanvas page) throws IOException;
    }

    private record Block(float height, Drawing drawing) {}

    /** A row with the headings over it. */
    private record Group(List<Block> blocks, boolean opens) {

        Breaks.Row row() {
            return new Breaks.Row(
                    (float) blocks.stream().mapToDouble(Block::height).sum(), opens);
        }
    }

    private record Chapter(String name, List<Group> groups) {}

    private final List<Chapter> chapters = new ArrayList<>();

    /** Headings that no row stands under yet. */
    private final List<Block> headings = new ArrayList<>();

    private boolean opens = true;

    /** @param name stands at the foot of its pages but the first */
    void chapter(String name) {
        finishHeadings();
        chapters.add(new Chapter(name, new ArrayList<>()));
        opens = true;
    }

    /** A page turns better before the next row than before those after it. */
    void section() {
        opens = true;
    }

    /** Adds what stays on one page with what comes after it. */
    void heading(float height, Drawing drawing) {
        headings.add(new Block(height, drawing));
    }

    void row(float height, Drawing drawing) {
        headings.add(new Block(height, drawing));
        finishHeadings();
    }

    private void finishHeadings() {
        if (!headings.isEmpty()) {
            chapters.get(chapters.size() - 1).groups().add(new Group(List.copyOf(headings), opens));
            headings.clear();
            opens = false;
        }
    }

    /** How many pages all of it takes. */
    int pages(PdfCanvas page) {
        return firsts(page).stream().mapToInt(List::size).sum();
    }

    /** Of every chapter the rows its pages begin with. */
    private List<List<Integer>> firsts(PdfCanvas page) {
        finishHeadings();
        return chapters.stream()
                .map(c -> Breaks.of(c.groups().stream().map(Group::row).toList(), page.height()))
                .toList();
    }

    void write(PdfCanvas page) throws IOException {
        List<List<Integer>> firsts = firsts(page);
        int pages = firsts.stream().mapToInt(List::size).sum();
        int number = 0;
        for (int i = 0; i < chapters.size(); i++) {
            Chapter chapter = chapters.get(i);
            for (int at = 0; at < chapter.groups().size(); at++) {
                if (firsts.get(i).contains(at)) {
                    page.newPage();
                    number++;
                    if (pages > 1) {
                        page.foot(at > 0 ? chapter.name() : "", number + " / " + pages);
                    }
                }
                for (Block block : chapter.groups().get(at).blocks()) {
                    block.drawing().draw(page);
                    page.down(block.height());
                }
            }
        }
    }
}
