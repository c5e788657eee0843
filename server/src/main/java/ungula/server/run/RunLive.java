package ungula.server.run;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import ungula.server.web.Problem;

/**
 * Sends what changes to every screen that looks at a run. Each screen has a thread of its own: one
 * that does not take what it is sent holds up nobody else, and gets the newest when it does.
 */
@Component
class RunLive {

  private static final int MOST_SCREENS = 64;

  /** Nothing is sent more often than this, ms. */
  private static final long LEAST_MS = 40;

  /** And nothing less often: whoever hears nothing for longer has lost the server, ms. */
  private static final long MOST_MS = 1000;

  private final RunViews views;
  private final Runs runs;
  private final Set<Screen> screens = ConcurrentHashMap.newKeySet();

  RunLive(RunViews views, Runs runs) {
    this.views = views;
    this.runs = runs;
  }

  private final class Screen implements Runs.Watcher, Runnable {
    private final String run;
    private final SseEmitter to = new SseEmitter(0L);
    private boolean news = true;
    private boolean over;

    Screen(String run) {
      this.run = run;
    }

    @Override
    public synchronized void changed() {
      news = true;
      notifyAll();
    }

    private synchronized void close() {
      over = true;
      notifyAll();
    }

    /**
     * @return whether to go on
     */
    private synchronized boolean await() throws InterruptedException {
      if (!news && !over) {
        wait(MOST_MS);
      }
      news = false;
      return !over;
    }

    @Override
    public void run() {
      try {
        while (await()) {
          to.send(views.live(run), MediaType.APPLICATION_JSON);
          Thread.sleep(LEAST_MS);
        }
        to.complete();
      } catch (IOException | IllegalStateException gone) {
        // nobody looks any more
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      } catch (RuntimeException e) {
        to.completeWithError(e);
      } finally {
        screens.remove(this);
        runs.unwatch(this);
      }
    }
  }

  SseEmitter open(String run) {
    runs.find(run);
    if (screens.size() >= MOST_SCREENS) {
      throw new Problem(
          HttpStatus.TOO_MANY_REQUESTS,
          "Too many screens",
          "So many screens look on already. Close one, then open this again.");
    }
    Screen screen = new Screen(run);
    screens.add(screen);
    runs.watch(screen);
    screen.to.onCompletion(screen::close);
    screen.to.onError(e -> screen.close());
    Thread t = new Thread(screen, "live");
    t.setDaemon(true);
    t.start();
    return screen.to;
  }

  @PreDestroy
  void end() {
    screens.forEach(Screen::close);
  }
}
