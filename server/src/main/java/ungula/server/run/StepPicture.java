package ungula.server.run;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Directory;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.springframework.http.HttpStatus;
import ungula.server.web.Problem;

/**
 * A picture as it is kept: upright, no larger than a screen, written anew as JPEG, so that nothing
 * is left of what a camera wrote into it. What it is is told by its first bytes, not by its name.
 */
final class StepPicture {

  private static final int MOST_BYTES = 12 << 20;

  /** A header may promise more than there is: no more is asked for. */
  private static final long MOST_PIXELS = 120_000_000;

  private static final int LONGEST = 2000;

  private StepPicture() {}

  /**
   * @throws Problem when it is no picture, or too large
   */
  static byte[] jpeg(byte[] file) {
    if (file.length > MOST_BYTES) {
      throw new Problem(HttpStatus.CONTENT_TOO_LARGE, "Too large", "A picture has at most 12 MB.");
    }
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!known(file) || !readers.hasNext()) {
        throw none();
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in, true, true);
        long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
        if (pixels > MOST_PIXELS) {
          throw new Problem(
              HttpStatus.CONTENT_TOO_LARGE,
              "Too large",
              "The picture has more than 120 million points. Take it smaller.");
        }
        return write(upright(reader.read(0), held(file)));
      } finally {
        reader.dispose();
      }
    } catch (IOException | IndexOutOfBoundsException | IllegalArgumentException e) {
      throw none();
    }
  }

  private static Problem none() {
    return new Problem(
        HttpStatus.UNSUPPORTED_MEDIA_TYPE,
        "No picture",
        "This is no picture that can be read: take a JPEG, PNG or WebP.");
  }

  private static boolean known(byte[] f) {
    return starts(f, 0, 0xff, 0xd8, 0xff)
        || starts(f, 0, 0x89, 'P', 'N', 'G')
        || starts(f, 0, 'R', 'I', 'F', 'F') && starts(f, 8, 'W', 'E', 'B', 'P');
  }

  private static boolean starts(byte[] f, int from, int... with) {
    if (f.length < from + with.length) {
      return false;
    }
    for (int i = 0; i < with.length; i++) {
      if ((f[from + i] & 0xff) != with[i]) {
        return false;
      }
    }
    return true;
  }

  /** Turned as it was held, 1 to 8 as EXIF counts, and made no larger than is looked at. */
  private static BufferedImage upright(BufferedImage in, int orientation) {
    boolean sideways = orientation >= 5 && orientation <= 8;
    int w = sideways ? in.getHeight() : in.getWidth();
    int h = sideways ? in.getWidth() : in.getHeight();
    double scale = Math.min(1, (double) LONGEST / Math.max(w, h));
    BufferedImage out =
        new BufferedImage(
            Math.max(1, (int) Math.round(w * scale)),
            Math.max(1, (int) Math.round(h * scale)),
            BufferedImage.TYPE_INT_RGB);
    AffineTransform turn =
        switch (orientation) {
          case 2 -> new AffineTransform(-1, 0, 0, 1, w, 0);
          case 3 -> new AffineTransform(-1, 0, 0, -1, w, h);
          case 4 -> new AffineTransform(1, 0, 0, -1, 0, h);
          case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
          case 6 -> new AffineTransform(0, 1, -1, 0, w, 0);
          case 7 -> new AffineTransform(0, -1, -1, 0, w, h);
          case 8 -> new AffineTransform(0, -1, 1, 0, 0, h);
          default -> new AffineTransform();
        };
    turn.preConcatenate(AffineTransform.getScaleInstance(scale, scale));
    Graphics2D g = out.createGraphics();
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, out.getWidth(), out.getHeight());
    g.drawImage(in, turn, null);
    g.dispose();
    return out;
  }

  private static byte[] write(BufferedImage image) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "jpeg", out);
    return out.toByteArray();
  }

  /** How the camera was held, 1 to 8 as EXIF counts; 1 where nothing says otherwise. */
  private static int held(byte[] file) throws IOException {
    try {
      Directory exif =
          ImageMetadataReader.readMetadata(new ByteArrayInputStream(file))
              .getFirstDirectoryOfType(ExifIFD0Directory.class);
      Integer said = exif == null ? null : exif.getInteger(ExifDirectoryBase.TAG_ORIENTATION);
      return said == null ? 1 : said;
    } catch (ImageProcessingException unreadable) {
      return 1;
    }
  }
}
