package underhand.server.platform;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.web.servlet.error.ErrorController;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Says that a call is not known, in place of a page; and whatever else ends without an answer of its own. */
@RestController
class UnknownCalls implements ErrorController {

    @io.swagger.v3.oas.annotations.Hidden
    @RequestMapping("/error")
    void error(HttpServletRequest request, HttpServletResponse response) throws IOException {
        Object said = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        int status = said instanceof Integer code ? code : HttpServletResponse.SC_NOT_FOUND;
        ProblemWriter.write(
                response,
                status,
                status == HttpServletResponse.SC_NOT_FOUND ? "Not found" : "Request not usable",
                status == HttpServletResponse.SC_NOT_FOUND
                        ? "Nothing is kept at this address."
                        : "The request cannot be answered as it was sent.");
    }
}
