package underhand.server.platform;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.exc.InputCoercionException;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.exc.InvalidNullException;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import java.net.URI;
import java.util.Optional;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import underhand.format.text.ChartLimitException;
import underhand.input.FormatException;
import underhand.input.RangeException;
import underhand.server.storage.StorageException;
import underhand.work.GivenUpException;

/** Turns every error into a problem detail (RFC 9457); where text was read, with line, column and input. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {

    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

    @ExceptionHandler
    ProblemDetail format(FormatException e) {
        String title = e.input().isPresent() ? "No " + e.what() : "File not readable";
        ProblemDetail problem = problem(HttpStatus.UNPROCESSABLE_ENTITY, title, e.getMessage());
        if (e.line() > 0) {
            problem.setProperty("line", e.line());
            problem.setProperty("column", e.column());
        }
        e.input().ifPresent(input -> problem.setProperty("input", input));
        return problem;
    }

    @ExceptionHandler
    ProblemDetail range(RangeException e) {
        return about(e.field(), problem(HttpStatus.UNPROCESSABLE_ENTITY, "Input not usable", e.getMessage()));
    }

    @ExceptionHandler
    ProblemDetail limit(ChartLimitException e) {
        return problem(
                e.isTooManyBytes() ? HttpStatus.PAYLOAD_TOO_LARGE : HttpStatus.UNPROCESSABLE_ENTITY,
                "Chart too large",
                e.getMessage());
    }

    @ExceptionHandler
    ProblemDetail input(InputException e) {
        String title = e.status() == HttpStatus.NOT_FOUND ? "Not found" : "Input not usable";
        return about(e.field(), problem(e.status(), title, e.getMessage()));
    }

    @ExceptionHandler
    ProblemDetail stale(StaleWriteException e) {
        ProblemDetail problem = problem(HttpStatus.CONFLICT, "Changed elsewhere", e.getMessage());
        problem.setProperty("yours", e.yours());
        problem.setProperty("current", e.current());
        return problem;
    }

    @ExceptionHandler
    ProblemDetail storage(StorageException e) {
        String title = e.reason() == StorageException.Reason.FULL ? "Disk full" : "Disk not writable";
        return problem(HttpStatus.INSUFFICIENT_STORAGE, title, e.getMessage());
    }

    /** Whoever asked has left, or has asked anew; then nobody reads this. */
    @ExceptionHandler
    ProblemDetail givenUp(GivenUpException e) {
        return problem(
                HttpStatus.CONFLICT, "Asked anew", "The same was asked for again, so this answer was not worked out.");
    }

    @ExceptionHandler
    ProblemDetail type(MethodArgumentTypeMismatchException e) {
        return problem(
                HttpStatus.BAD_REQUEST, "Input not usable", e.getName() + " cannot be \"" + e.getValue() + "\".");
    }

    @ExceptionHandler
    ProblemDetail unexpected(Exception e) {
        LOG.error("Unexpected error", e);
        return problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Unexpected error",
                "Something went wrong here, not with your input. Nothing was stored. The log has the details.");
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ProblemDetail problem = outOfRange(e.getCause()).orElseGet(() -> unreadable(e.getCause()));
        return handleExceptionInternal(e, problem, headers, HttpStatus.valueOf(problem.getStatus()), request);
    }

    /** A call that is not there. */
    @Override
    protected ResponseEntity<Object> handleNoResourceFoundException(
            NoResourceFoundException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ProblemDetail problem = problem(HttpStatus.NOT_FOUND, "Not found", "Nothing is kept at this address.");
        return handleExceptionInternal(e, problem, headers, status, request);
    }

    /** A problem is a problem detail whatever form was asked for, even where what was asked for cannot be read. */
    @Override
    protected ResponseEntity<Object> handleExceptionInternal(
            Exception e, Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        HttpHeaders typed = new HttpHeaders(headers);
        typed.setContentType(MediaType.APPLICATION_PROBLEM_JSON);
        return super.handleExceptionInternal(e, body, typed, status, request);
    }

    /** A number that no number of its field's kind is as large as. */
    private static Optional<ProblemDetail> outOfRange(Throwable cause) {
        if (!(cause instanceof JsonMappingException mapping)
                || !(cause.getCause() instanceof InputCoercionException coercion)) {
            return Optional.empty();
        }
        boolean isLong = coercion.getTargetType() == long.class || coercion.getTargetType() == Long.class;
        long most = isLong ? Long.MAX_VALUE : Integer.MAX_VALUE;
        ProblemDetail problem = problem(
                HttpStatus.UNPROCESSABLE_ENTITY,
                "Input not usable",
                path(mapping) + " must be " + (-most - 1) + " to " + most + ".");
        problem.setProperty("field", path(mapping));
        return Optional.of(problem);
    }

    private static String path(JsonMappingException e) {
        return e.getPath().stream()
                .map(r -> r.getFieldName() == null ? "[" + r.getIndex() + "]" : "." + r.getFieldName())
                .collect(Collectors.joining())
                .replaceFirst("^\\.", "");
    }

    private static ProblemDetail unreadable(Throwable cause) {
        if (cause instanceof RequestTooLargeException tooLarge) {
            return problem(HttpStatus.PAYLOAD_TOO_LARGE, "Request too large", tooLarge.getMessage());
        }
        ProblemDetail problem = problem(HttpStatus.BAD_REQUEST, "Request not readable", detail(cause));
        if (cause instanceof JsonProcessingException json && json.getLocation() != null) {
            problem.setProperty("line", json.getLocation().getLineNr());
            problem.setProperty("column", json.getLocation().getColumnNr());
        }
        return problem;
    }

    private static String detail(Throwable cause) {
        if (cause instanceof UnrecognizedPropertyException unknown) {
            return "There is no field \"" + unknown.getPropertyName() + "\" here; there are "
                    + unknown.getKnownPropertyIds().stream()
                            .map(String::valueOf)
                            .sorted()
                            .collect(Collectors.joining(", "))
                    + ".";
        }
        if (cause instanceof JsonMappingException mapping && !mapping.getPath().isEmpty()) {
            String path = path(mapping);
            return cause instanceof InvalidNullException
                    ? "The field " + path + " cannot be null; leave it out where nothing is to be said."
                    : "The field " + path + " has a value of the wrong kind.";
        }
        return cause instanceof JsonProcessingException
                ? "The body is no JSON."
                : "The body is missing or cannot be read; send JSON.";
    }

    private static ProblemDetail about(String field, ProblemDetail problem) {
        if (!field.isEmpty()) {
            problem.setProperty("field", field);
        }
        return problem;
    }

    private static ProblemDetail problem(HttpStatus status, String title, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setTitle(title);
        problem.setType(URI.create("about:blank"));
        return problem;
    }
}
