package ungula.server.access;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * What others on the network are asked for, kept in the data folder: never itself, only its hash,
 * and a secret that signs the cookies of those who are in. Setting it anew puts everybody out.
 *
 * @param hash names its method
 * @param secret random
 */
public record Passphrase(String hash, String secret) {

  /** Shorter ones are guessed too soon. */
  public static final int LEAST = 10;

  /** The hash looks at no more, bytes. */
  private static final int MOST = 72;

  static final PasswordEncoder ENCODER = PasswordEncoderFactories.createDelegatingPasswordEncoder();

  private static Path file(Path data) {
    return data.resolve("passphrase");
  }

  /** Empty until one is set. */
  public static Optional<Passphrase> in(Path data) throws IOException {
    if (!Files.exists(file(data))) {
      return Optional.empty();
    }
    List<String> lines = Files.readAllLines(file(data));
    if (lines.size() < 2) {
      throw new IOException("its file passphrase is damaged; set it again");
    }
    return Optional.of(new Passphrase(lines.get(0), lines.get(1)));
  }

  /**
   * Sets it.
   *
   * @throws IllegalArgumentException when it is too short or too long, in words
   */
  public static Passphrase set(Path data, String words) throws IOException {
    if (words.strip().length() < LEAST) {
      throw new IllegalArgumentException(
          "A passphrase has at least " + LEAST + " characters: a few words are best.");
    }
    if (words.getBytes(StandardCharsets.UTF_8).length > MOST) {
      throw new IllegalArgumentException("A passphrase has at most " + MOST + " bytes.");
    }
    byte[] random = new byte[32];
    new SecureRandom().nextBytes(random);
    Passphrase made =
        new Passphrase(ENCODER.encode(words.strip()), HexFormat.of().formatHex(random));
    Path part = data.resolve("passphrase.part");
    Files.deleteIfExists(part);
    Files.createFile(part);
    if (Files.getFileStore(part).supportsFileAttributeView("posix")) {
      Files.setPosixFilePermissions(part, PosixFilePermissions.fromString("rw-------"));
    }
    Files.writeString(part, made.hash + "\n" + made.secret + "\n");
    Files.move(part, file(data), StandardCopyOption.REPLACE_EXISTING);
    return made;
  }
}
