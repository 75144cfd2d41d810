package finebore.desk.session;

import finebore.cutting.Cutter;
import finebore.formats.FileProblem;
import finebore.formats.RackFile;
import finebore.formats.SafeFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * The shop's own cutters: a file in the desk's folder that begins as a copy of the shipped rack and
 * is edited in the window or with any editor.
 *
 * @param file where it lies
 * @param cutters those in it, or the shipped ones where it cannot be read
 * @param problem what is wrong with the file
 */
public record ShopRack(Path file, List<Cutter> cutters, Optional<FileProblem> problem) {

  static Path file(DeskFolder folder) {
    return folder.file("rack.json");
  }

  /** Reads the rack of a folder, and puts the shipped one there where there is none. */
  public static ShopRack in(DeskFolder folder) {
    Path file = file(folder);
    try {
      if (!Files.exists(file)) {
        SafeFile.write(file, RackFile.shippedText().getBytes(StandardCharsets.UTF_8), false);
      }
      return new ShopRack(file, RackFile.read(file), Optional.empty());
    } catch (FileProblem e) {
      return new ShopRack(file, RackFile.shipped(), Optional.of(e));
    }
  }
}
