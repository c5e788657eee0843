package ungula.server.run;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;
import ungula.server.web.Problem;

/** Pictures are kept upright, as JPEG, with nothing in them but the picture. */
public class StepPictureTest {

  /** One green point, lossless, as others write it. */
  private static final String WEBP = "UklGRhoAAABXRUJQVlA4TA0AAAAvAAAAEAcQERGIiP4HAA==";

  /** Red above, blue below. */
  private static BufferedImage flag(int width, int height) {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(Color.RED);
    g.fillRect(0, 0, width, height / 2);
    g.setColor(Color.BLUE);
    g.fillRect(0, height / 2, width, height - height / 2);
    g.dispose();
    return image;
  }

  private static byte[] file(BufferedImage image, String format) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, format, out);
    return out.toByteArray();
  }

  /** The same as a camera held so writes it, with the place it was taken. */
  private static byte[] held(byte[] jpeg, int orientation) {
    byte[] tiff = {
      'M',
      'M',
      0,
      42,
      0,
      0,
      0,
      8,
      0,
      1,
      0x01,
      0x12,
      0,
      3,
      0,
      0,
      0,
      1,
      0,
      (byte) orientation,
      0,
      0,
      0,
      0,
      0,
      0
    };
    byte[] secret = "GPS 53.5 N".getBytes(StandardCharsets.US_ASCII);
    int length = 2 + 6 + tiff.length + secret.length;
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(jpeg, 0, 2);
    out.writeBytes(new byte[] {(byte) 0xff, (byte) 0xe1, (byte) (length >> 8), (byte) length});
    out.writeBytes("Exif\0\0".getBytes(StandardCharsets.US_ASCII));
    out.writeBytes(tiff);
    out.writeBytes(secret);
    out.write(jpeg, 2, jpeg.length - 2);
    return out.toByteArray();
  }

  private static BufferedImage kept(byte[] file) throws IOException {
    byte[] jpeg = StepPicture.jpeg(file);
    String text = new String(jpeg, StandardCharsets.ISO_8859_1);
    assertFalse(text.contains("Exif") || text.contains("GPS"), "nothing is left of the camera's");
    assertEquals(jpeg[0] & 0xff, 0xff);
    assertEquals(jpeg[1] & 0xff, 0xd8);
    return ImageIO.read(new ByteArrayInputStream(jpeg));
  }

  private static boolean red(BufferedImage image, double x, double y) {
    Color c = new Color(image.getRGB((int) (x * image.getWidth()), (int) (y * image.getHeight())));
    return c.getRed() > 150 && c.getBlue() < 100;
  }

  @Test
  public void itIsTurnedAsItWasHeld() throws Exception {
    byte[] jpeg = file(flag(60, 40), "jpeg");
    assertTrue(red(kept(held(jpeg, 1)), 0.5, 0.1));
    BufferedImage over = kept(held(jpeg, 3));
    assertFalse(red(over, 0.5, 0.1));
    assertTrue(red(over, 0.5, 0.9));
    // what was above is at the right once it is turned clockwise
    BufferedImage right = kept(held(jpeg, 6));
    assertEquals(right.getWidth(), 40);
    assertTrue(red(right, 0.9, 0.5) && !red(right, 0.1, 0.5));
    BufferedImage left = kept(held(jpeg, 8));
    assertTrue(red(left, 0.1, 0.5) && !red(left, 0.9, 0.5));
    assertTrue(red(kept(held(jpeg, 77)), 0.5, 0.1), "nonsense is as it is");
  }

  @Test
  public void whatItIsIsToldByItsFirstBytes() throws Exception {
    assertEquals(kept(file(flag(10, 20), "png")).getHeight(), 20);
    BufferedImage webp = kept(Base64.getDecoder().decode(WEBP));
    assertEquals(webp.getWidth(), 1);
    for (byte[] no :
        new byte[][] {
          {},
          "<svg onload='x'/>".getBytes(StandardCharsets.US_ASCII),
          file(flag(4, 4), "gif"),
          Arrays.copyOf(file(flag(90, 90), "png"), 60)
        }) {
      assertEquals(
          expectThrows(Problem.class, () -> StepPicture.jpeg(no)).getMessage(),
          "This is no picture that can be read: take a JPEG, PNG or WebP.");
    }
  }

  @Test
  public void whatIsTooLargeIsMadeSmallerOrRefused() throws Exception {
    assertEquals(kept(file(flag(4000, 100), "png")).getWidth(), 2000);
    expectThrows(Problem.class, () -> StepPicture.jpeg(new byte[(12 << 20) + 1]));
    // a header that promises what is not there
    byte[] png = file(flag(4, 4), "png");
    png[16] = 0;
    png[18] = (byte) 0xff;
    png[22] = (byte) 0xff;
    expectThrows(Problem.class, () -> StepPicture.jpeg(png));
  }
}
