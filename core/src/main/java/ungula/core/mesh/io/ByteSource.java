package ungula.core.mesh.io;

import java.io.Closeable;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;
import ungula.core.work.Progress;

/** A file as a run of bytes, read in blocks, with progress reported per block. */
final class ByteSource implements Closeable {

  private static final int BLOCK = 1 << 18;

  private final FileChannel channel;
  private final long size;
  private final Progress progress;
  private final ByteBuffer block = ByteBuffer.allocate(BLOCK);
  private long before;

  ByteSource(Path file, Progress progress) throws IOException {
    channel = FileChannel.open(file, StandardOpenOption.READ);
    size = channel.size();
    this.progress = progress;
    block.limit(0);
  }

  long size() {
    return size;
  }

  /** Where the next byte lies in the file. */
  long position() {
    return before + block.position();
  }

  long remaining() {
    return size - position();
  }

  void order(ByteOrder order) {
    block.order(order);
  }

  /** The first bytes of the file, left unread. */
  byte[] peek(int most) throws IOException {
    need(1);
    return Arrays.copyOf(block.array(), Math.min(most, block.limit()));
  }

  /** The next byte, or −1 at the end. */
  int read() throws IOException {
    return block.hasRemaining() || refill() ? block.get() & 0xff : -1;
  }

  /** The next byte left unread, or −1 at the end. */
  int look() throws IOException {
    return block.hasRemaining() || refill() ? block.get(block.position()) & 0xff : -1;
  }

  /** The block with at least so many bytes to take; null when the file ends before. */
  ByteBuffer need(int bytes) throws IOException {
    while (block.remaining() < bytes) {
      if (!refill()) {
        return null;
      }
    }
    return block;
  }

  /**
   * For work between two reads that may take long.
   *
   * @throws java.util.concurrent.CancellationException when nobody waits for it any more
   */
  void tick() {
    progress.at("Reading the file", size == 0 ? 1 : (double) position() / size);
  }

  private boolean refill() throws IOException {
    before += block.position();
    block.compact();
    int got = channel.read(block);
    block.flip();
    progress.at("Reading the file", size == 0 ? 1 : (double) before / size);
    return got > 0;
  }

  @Override
  public void close() throws IOException {
    channel.close();
  }
}
