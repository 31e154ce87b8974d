package underhand.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** How a song is shared out to lines and pages of a PDF, by the order of its text. */
@ServerTest
class PdfPagesTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private ObjectMapper json;

    /** The text of every page, from left to right and down. */
    private List<String> pages(String source, Map<String, Object> look) throws Exception {
        Map<String, Object> order = new HashMap<>(look);
        order.put("format", "pdf");
        order.put("song", Map.of("chart", Map.of("source", source), "rung", 3));
        byte[] bytes = mvc.perform(
                        post("/api/v1/files").contentType(APPLICATION_JSON).content(json.writeValueAsBytes(order)))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        List<String> pages = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(bytes)) {
            PDFTextStripper text = new PDFTextStripper();
            text.setSortByPosition(true);
            for (int page = 1; page <= document.getNumberOfPages(); page++) {
                text.setStartPage(page);
                text.setEndPage(page);
                pages.add(text.getText(document));
            }
        }
        return pages;
    }

    private static boolean hasLine(String page, String pattern) {
        return page.lines().anyMatch(line -> line.strip().matches(pattern));
    }

    /** The rows of words are the chart's lines, of two bars, five and three. */
    @Test
    void words_standInTheLinesOfTheChart() throws Exception {
        String page = pages(
                        "[Verse]\n[G]Down the [C]stream\n[G]one [D]two [G]three [D]four [C]five\n"
                                + "[Em]Row [C]on, row [G]on",
                        Map.of())
                .get(0);
        assertTrue(hasLine(page, "Down the +stream"), page);
        assertTrue(hasLine(page, "one +two +three +four +five"), page);
        assertTrue(hasLine(page, "Row +on, row +on"), page);
        assertTrue(hasLine(page, "G +D +G +D +C"), page);
    }

    /** A line wider than the page goes over to rows of as many bars, each whole. */
    @Test
    void words_ofALineWiderThanThePage_arePartedBetweenBars() throws Exception {
        String bar = "[%s]down the long canal in [%s]rain ";
        String page = pages(
                        "[Verse]\n" + bar.formatted("G", "C").repeat(4).strip() + "\n| G C | G C | G C | G C |",
                        Map.of("big", true))
                .get(0);
        assertFalse(page.contains("□"), page);
        assertTrue(hasLine(page, "G +C +G +C +G +C +G +C"), page);
    }

    /** Every page but the first says whose it is, and all which they are; one page alone says nothing. */
    @ParameterizedTest
    @ValueSource(strings = {"words", "tab"})
    void pages_areNumbered_andNamed(String layout) throws Exception {
        String verse = "[Verse %d]\n[G]one two three [C]four five [D]six [G]seven\n".repeat(9);
        String song = "title: Long Lock\n"
                + (verse + verse).formatted(1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18);
        List<String> pages = pages(song, Map.of("layout", layout));
        assertTrue(pages.size() > 1, "of more than one page");
        for (int i = 0; i < pages.size(); i++) {
            String last = pages.get(i).strip().lines().reduce((a, b) -> b).orElse("");
            String foot = (i + 1) + " / " + pages.size();
            assertEquals(i == 0 ? foot : "Long Lock " + foot, last.replaceAll(" +", " "), pages.get(i));
        }
        String one =
                pages("title: Short Lock\n| C | F |", Map.of("layout", layout)).get(0);
        assertFalse(one.contains("1 / 1"), one);
    }

    /** A page turns between sections, its heading with its first line; the pages are about as full as one another. */
    @Test
    void pages_turnBetweenSections() throws Exception {
        String section = "[%s]\n" + "[G]one two three [C]four five [D]six [G]seven\n".repeat(3);
        List<String> names = List.of("Ash", "Beech", "Cedar", "Elm", "Fir", "Holly", "Juniper");
        StringBuilder song = new StringBuilder("title: Trees\n");
        names.forEach(name -> song.append(section.formatted(name)));
        List<String> pages = pages(song.toString(), Map.of());
        assertEquals(2, pages.size());
        for (int i = 0; i < names.size(); i++) {
            String page = pages.get(i < 3 ? 0 : 1);
            assertTrue(hasLine(page, names.get(i)), names.get(i) + " not in " + page);
        }
        assertEquals(12, pages.get(1).split("six", -1).length - 1);
    }

    /** Fourteen rows go over one page by a little: they are set smaller. Twenty are set as large as ever, on two. */
    @Test
    void whatIsALittleTooLong_isSetSmaller() throws Exception {
        String row = "[G]one two three [C]four five [D]six [G]seven\n";
        assertEquals(1, pages("title: A Little\n" + row.repeat(13), Map.of()).size());
        assertEquals(1, pages("title: A Little\n" + row.repeat(14), Map.of()).size());
        assertEquals(2, pages("title: A Little\n" + row.repeat(20), Map.of()).size());
    }

    /** Twelve frames stand before the first bar; more are a page of their own at the end. */
    @Test
    void grips_ofManyChords_haveTheLastPage() throws Exception {
        String few = "| C | Dm | Em | F | G | Am |";
        String many = few + "\n| Cmaj7 | Dm7 | Em7 | Fmaj7 | G7 | Am7 |\n| E | A | D | B7 | E7 | A7 |";
        assertEquals(1, pages(few, Map.of()).size());
        List<String> pages = pages(many, Map.of());
        assertEquals(2, pages.size());
        assertTrue(pages.get(0).contains("grips, after the last bar"), pages.get(0));
        assertFalse(pages.get(0).contains("×"), "no frame before the first bar");
        assertTrue(hasLine(pages.get(1), "Grips") && pages.get(1).contains("×"), pages.get(1));
    }

    /** The words stand under the tab too, beginning with their chords, also under a bar like the one before. */
    @Test
    void words_standUnderTheTab() throws Exception {
        String page = pages("[Verse]\n[G]Down the [G]stream I [G]row", Map.of("layout", "tab"))
                .get(0);
        assertTrue(hasLine(page, "Down the +stream I +row"), page);
        String none = pages("[Verse]\n| G | G |", Map.of("layout", "tab")).get(0);
        assertFalse(none.contains("Down"), none);
    }

    /** What there is to know stands in words: metre, pattern, where it changes, and bars of another metre. */
    @Test
    void facts_sayMetreAndPattern() throws Exception {
        String page = pages("metre: 3/4\n[Verse]\n| C | G |\nmetre: 4/4\n| F | N.C. |", Map.of())
                .get(0);
        assertTrue(page.contains("3/4"), page);
        assertTrue(hasLine(page, "\\(4/4\\) F +N\\.C\\."), page);
    }

    /** A long title and a word wider than the page are wrapped, and lose nothing. */
    @Test
    void longTitles_areWrapped() throws Exception {
        String title = "The Long and Winding Towpath Past the Old Lime Kilns and the Seven Locks of Autumn Rain";
        String page = pages("title: " + title + "\n[C]" + "unending".repeat(40), Map.of())
                .get(0);
        String text = page.replaceAll("\\s+", " ");
        assertTrue(text.startsWith(title), text);
        assertTrue(page.replaceAll("\\s+", "").contains("unending".repeat(40)), page);
        String twice = "title: " + title + " " + title + "\n" + "[G]one two three [C]four\n".repeat(40);
        String foot = pages(twice, Map.of())
                .get(1)
                .strip()
                .lines()
                .reduce((a, b) -> b)
                .orElse("");
        assertTrue(foot.matches("The Long and .* … +2 / \\d"), foot);
    }
}
