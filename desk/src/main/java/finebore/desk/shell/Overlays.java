package finebore.desk.shell;

import finebore.desk.session.DeskFolder;
import finebore.desk.session.JobSession;
import finebore.desk.session.Shop;
import finebore.desk.shop.ShopSheet;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;

/** What is laid over the station: the sheet of keys, and what belongs to the shop. */
final class Overlays {

  private final StackPane root;
  private final JobSession session;
  private final FilePicker picker;
  private final Runnable takeTyping;
  private final Shop shop;

  /** Where the keyboard was before a sheet came over the station. */
  private Optional<Node> keysFrom = Optional.empty();

  /**
   * Nothing over a station yet.
   *
   * @param root holds the frame, and what is over it
   * @param takeTyping takes what is being typed
   */
  Overlays(
      StackPane root,
      JobSession session,
      DeskFolder folder,
      FilePicker picker,
      Runnable takeTyping) {
    this.root = root;
    this.session = session;
    this.picker = picker;
    this.takeTyping = takeTyping;
    this.shop = new Shop(folder, session);
  }

  /** Whether the station lies bare, so that keys are meant for it. */
  boolean isBare() {
    return root.getChildren().size() == 1;
  }

  void showKeys() {
    if (isBare()) {
      show(new ShortcutSheet(session.words(), this::hide));
    }
  }

  /** Shows practices or cutters. */
  void showShop(String view) {
    takeTyping.run();
    session.messages().clear();
    ShopSheet sheet = new ShopSheet(session, shop, chooser(), this::leaveShop);
    sheet.show(view);
    show(sheet);
  }

  private void show(Node sheet) {
    keysFrom = Optional.ofNullable(root.getScene().getFocusOwner());
    root.getChildren().add(sheet);
  }

  private void leaveShop() {
    takeTyping.run();
    hide();
  }

  private void hide() {
    root.getChildren().removeLast();
    keysFrom.ifPresent(Node::requestFocus);
  }

  private ShopSheet.Chooser chooser() {
    return new ShopSheet.Chooser() {
      @Override
      public Optional<Path> practice() {
        return picker.practice();
      }

      @Override
      public Optional<Path> savePractice(String suggestion) {
        return picker.savePractice(suggestion);
      }
    };
  }
}
