package ungula.server.archive;

import java.nio.file.Path;

/** Stops the server, and starts it again on what a backup held. */
@FunctionalInterface
public interface GoBack {

  /**
   * Returns at once; the server stops soon after.
   *
   * @param unpacked a backup that was looked into, beside the data folder
   */
  void to(Path unpacked);
}
