package finebore.formats;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/**
 * The content of a file in short, to tell whether it is still the same.
 *
 * @param digest SHA-256 of its bytes, hexadecimal
 */
record FileStamp(String digest) {

  static FileStamp of(byte[] bytes) {
    try {
      return new FileStamp(
          HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has SHA-256", e);
    }
  }
}
