package underhand.e2e;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.openqa.selenium.print.PrintOptions;

/** What the browser's printer gets of the page that is open. */
final class Printed {

    private Printed() {}

    /** The text of each printed page. */
    static List<String> pages(Browser browser) throws IOException {
        return pages(browser, new PrintOptions());
    }

    static List<String> pages(Browser browser, PrintOptions options) throws IOException {
        byte[] pdf = Base64.getDecoder().decode(browser.driver().print(options).getContent());
        List<String> pages = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            for (int page = 1; page <= document.getNumberOfPages(); page++) {
                PDFTextStripper text = new PDFTextStripper();
                text.setStartPage(page);
                text.setEndPage(page);
                pages.add(text.getText(document));
            }
        }
        return pages;
    }
}
