package finebore.desk.session;

import finebore.formats.FileProblem;
import finebore.formats.SafeFile;
import finebore.formats.ShelfFile;
import finebore.sizes.ShelfValve;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * The valves the shop has on its shelf: a file in the desk's folder that begins as a copy of the
 * shipped list and is edited with any editor.
 *
 * @param file where it lies
 * @param valves those in it, or the shipped ones where it cannot be read
 * @param problem what is wrong with the file
 */
public record ShopShelf(Path file, List<ShelfValve> valves, Optional<FileProblem> problem) {

  /** Reads the list of a folder, and puts the shipped one there where there is none. */
  public static ShopShelf in(DeskFolder folder) {
    Path file = folder.file("shelf.json");
    try {
      if (!Files.exists(file)) {
        SafeFile.write(file, ShelfFile.shippedText().getBytes(StandardCharsets.UTF_8), false);
      }
      return new ShopShelf(file, ShelfFile.read(file), Optional.empty());
    } catch (FileProblem e) {
      return new ShopShelf(file, ShelfFile.shipped(), Optional.of(e));
    }
  }
}
