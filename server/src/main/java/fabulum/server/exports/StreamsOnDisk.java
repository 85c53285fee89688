package fabulum.server.exports;

import java.io.EOFException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.StandardOpenOption;
import org.apache.pdfbox.io.RandomAccess;
import org.apache.pdfbox.io.RandomAccessReadView;
import org.apache.pdfbox.io.RandomAccessReadWriteBuffer;
import org.apache.pdfbox.io.RandomAccessStreamCache;
import org.jspecify.annotations.Nullable;

/**
 * The streams of a PDF in one temporary file. Only the stream used last is in memory, so the number
 * of pages does not matter; the cache of the library itself keeps 4 KB of each. For one thread.
 */
final class StreamsOnDisk implements RandomAccessStreamCache {
  private final FileChannel file;
  private @Nullable OneStream used;

  StreamsOnDisk() throws IOException {
    file =
        FileChannel.open(
            Files.createTempFile("fabulum", ".pages"),
            StandardOpenOption.READ,
            StandardOpenOption.WRITE,
            StandardOpenOption.DELETE_ON_CLOSE);
  }

  @Override
  public RandomAccess createBuffer() {
    return new OneStream();
  }

  @Override
  public void close() throws IOException {
    file.close();
  }

  /** In memory while it is used, otherwise a piece of the file. */
  private final class OneStream implements RandomAccess {
    private @Nullable RandomAccessReadWriteBuffer memory;
    private boolean changed;
    private boolean closed;
    private long from;
    private int length;
    private long position;

    private RandomAccessReadWriteBuffer memory() throws IOException {
      RandomAccessReadWriteBuffer found = memory;
      if (found == null) {
        if (used != null) {
          used.leave();
        }
        found = new RandomAccessReadWriteBuffer();
        found.write(piece());
        found.seek(position);
        memory = found;
        used = this;
      }
      return found;
    }

    private byte[] piece() throws IOException {
      ByteBuffer piece = ByteBuffer.allocate(length);
      while (piece.hasRemaining()) {
        if (file.read(piece, from + piece.position()) < 0) {
          throw new EOFException("The file of streams is cut off");
        }
      }
      return piece.array();
    }

    private void leave() throws IOException {
      RandomAccessReadWriteBuffer left = memory;
      if (left != null) {
        position = left.getPosition();
        if (changed) {
          left.seek(0);
          byte[] all = new byte[(int) left.length()];
          left.readFully(all);
          // Its old piece, if any, stays behind: a stream is rarely written twice.
          from = file.size();
          length = all.length;
          ByteBuffer piece = ByteBuffer.wrap(all);
          while (piece.hasRemaining()) {
            file.write(piece, from + piece.position());
          }
          changed = false;
        }
        left.close();
        memory = null;
      }
    }

    private RandomAccessReadWriteBuffer writing() throws IOException {
      changed = true;
      return memory();
    }

    @Override
    public void write(int octet) throws IOException {
      writing().write(octet);
    }

    @Override
    public void write(byte[] octets) throws IOException {
      writing().write(octets);
    }

    @Override
    public void write(byte[] octets, int offset, int count) throws IOException {
      writing().write(octets, offset, count);
    }

    @Override
    public void clear() throws IOException {
      writing().clear();
    }

    @Override
    public int read() throws IOException {
      return memory().read();
    }

    @Override
    public int read(byte[] octets, int offset, int count) throws IOException {
      return memory().read(octets, offset, count);
    }

    @Override
    public long getPosition() throws IOException {
      return memory().getPosition();
    }

    @Override
    public void seek(long to) throws IOException {
      memory().seek(to);
    }

    @Override
    public long length() throws IOException {
      return memory().length();
    }

    @Override
    public boolean isEOF() throws IOException {
      return memory().isEOF();
    }

    @Override
    public RandomAccessReadView createView(long start, long count) {
      return new RandomAccessReadView(this, start, count);
    }

    @Override
    public boolean isClosed() {
      return closed;
    }

    @Override
    public void close() {
      closed = true;
      memory = null;
      if (used == this) {
        used = null;
      }
    }
  }
}
