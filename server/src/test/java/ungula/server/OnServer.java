package ungula.server;

import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;

/** Tests of one class share a server of their own. */
public abstract class OnServer {

  protected Running server;

  @BeforeClass
  public void start() throws Exception {
    server = new Running();
  }

  @AfterClass(alwaysRun = true)
  public void stop() throws Exception {
    server.close();
  }
}
