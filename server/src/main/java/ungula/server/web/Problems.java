package ungula.server.web;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.sentence.WordBook;

/** Turns what went wrong into problem details: what happened, what is kept, what to do. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {

  private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

  @ExceptionHandler
  ProblemDetail problem(Problem p) {
    return detail(p.status(), p.title(), p.getMessage(), p.word());
  }

  @ExceptionHandler
  ProblemDetail refused(WordBook.Refused r) {
    return detail(HttpStatus.UNPROCESSABLE_CONTENT, "Not understood", r.getMessage(), r.word());
  }

  @ExceptionHandler
  ProblemDetail unreadable(UnreadableQuantity q) {
    return detail(HttpStatus.UNPROCESSABLE_CONTENT, "Not understood", q.getMessage(), null);
  }

  @ExceptionHandler
  ProblemDetail unexpected(RuntimeException e) {
    LOG.error("Unexpected", e);
    return detail(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "Ungula made a mistake",
        "Nothing that was saved is lost. Load the page again; if it happens again, the program's"
            + " output says more.",
        null);
  }

  private static ProblemDetail detail(HttpStatus status, String title, String text, String word) {
    ProblemDetail d = ProblemDetail.forStatusAndDetail(status, text);
    d.setTitle(title);
    if (word != null) {
      d.setProperty("word", word);
    }
    return d;
  }
}
