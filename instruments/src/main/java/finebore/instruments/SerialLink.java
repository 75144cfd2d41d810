package finebore.instruments;

import com.fazecast.jSerialComm.SerialPort;
import com.fazecast.jSerialComm.SerialPortInvalidPortException;
import finebore.code.Message;
import finebore.code.Term;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** A bench on a serial port: 9600 baud, 8 data bits, no parity, 1 stop bit. */
public final class SerialLink implements BenchLink {

  private static final int BAUD = 9600;
  private static final int POLL_MS = 20;
  private static final int MOST_WAITING = 4000;

  private final SerialPort port;
  private final StringBuilder waiting = new StringBuilder();

  private SerialLink(SerialPort port) {
    this.port = port;
  }

  /** The ports of this machine by their system names. */
  public static List<String> ports() {
    return Arrays.stream(SerialPort.getCommPorts()).map(SerialPort::getSystemPortPath).toList();
  }

  /**
   * Opens a port.
   *
   * @param name as the system calls it, for example /dev/ttyUSB0 or COM3
   */
  public static SerialLink open(String name) throws LinkLost {
    try {
      SerialLink link = new SerialLink(SerialPort.getCommPort(name));
      link.reopen();
      return link;
    } catch (SerialPortInvalidPortException e) {
      throw lost("noPort", name);
    }
  }

  private static LinkLost lost(String how, String name) {
    return new LinkLost(Message.of("serial." + how).with("port", Term.quote(name)));
  }

  @Override
  public void reopen() throws LinkLost {
    port.closePort();
    waiting.setLength(0);
    port.setComPortParameters(BAUD, 8, SerialPort.ONE_STOP_BIT, SerialPort.NO_PARITY);
    port.setComPortTimeouts(SerialPort.TIMEOUT_READ_SEMI_BLOCKING, POLL_MS, 0);
    if (!port.openPort()) {
      throw lost("notOpen", port.getSystemPortPath());
    }
  }

  @Override
  public void send(String line) throws LinkLost {
    byte[] bytes = (line + "\n").getBytes(StandardCharsets.US_ASCII);
    if (port.writeBytes(bytes, bytes.length) != bytes.length) {
      throw lost("takesNothing", port.getSystemPortPath());
    }
  }

  @Override
  public Optional<String> receive(Duration timeout) throws LinkLost {
    long until = System.nanoTime() + timeout.toNanos();
    byte[] bytes = new byte[256];
    do {
      int end = waiting.indexOf("\n");
      if (end >= 0) {
        String line = waiting.substring(0, end);
        waiting.delete(0, end + 1);
        return Optional.of(line.strip());
      }
      int count = port.readBytes(bytes, bytes.length);
      if (count < 0) {
        throw lost("gone", port.getSystemPortPath());
      }
      waiting.append(new String(bytes, 0, count, StandardCharsets.ISO_8859_1));
      if (waiting.length() > MOST_WAITING) {
        // A line that never ends is noise.
        waiting.setLength(0);
      }
    } while (System.nanoTime() < until);
    return Optional.empty();
  }

  @Override
  public void close() {
    port.closePort();
  }
}
