package finebore.desk.record;

import finebore.card.CardPreview;
import finebore.card.JobCard;
import finebore.card.JobCard.Issued;
import finebore.desk.session.JobSession;
import finebore.desk.session.Latest;
import finebore.desk.session.WorkSession;
import finebore.job.Job;
import finebore.machine.RunSheet;
import finebore.practice.Practice;
import finebore.words.Words;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.embed.swing.SwingFXUtils;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;

/** The job card page by page, as it will print; made off the window's thread. */
final class CardView extends BorderPane {

  private static final float DOTS_PER_INCH = 110;

  private final JobSession session;
  private final WorkSession work;
  private final Supplier<Issued> issued;
  private final ImageView image = new ImageView();
  private final Label which = new Label();
  private final Button back = new Button("‹");
  private final Button on = new Button("›");
  private final Latest printer = new Latest("card preview");
  private Optional<byte[]> card = Optional.empty();
  private int page;
  private int pages = 1;

  CardView(JobSession session, WorkSession work, Supplier<Issued> issued) {
    this.session = session;
    this.work = work;
    this.issued = issued;
    setId("card-view");
    image.setPreserveRatio(true);
    image.setId("card-page");
    image.setAccessibleText(session.say("record.preview"));
    StackPane paper = new StackPane(image);
    paper.setStyle("-fx-padding: 10;");
    ScrollPane scroll = new ScrollPane(paper);
    scroll.setFitToWidth(true);
    image.fitWidthProperty().bind(scroll.widthProperty().subtract(44));
    setCenter(scroll);
    back.setId("card-back");
    back.setAccessibleText(session.say("record.pageBack"));
    back.setOnAction(e -> turn(-1));
    on.setId("card-on");
    on.setAccessibleText(session.say("record.pageOn"));
    on.setOnAction(e -> turn(1));
    which.setId("card-which");
    HBox bar = new HBox(10, back, which, on);
    bar.setAlignment(Pos.CENTER);
    bar.setStyle("-fx-padding: 6;");
    setTop(bar);
  }

  private void turn(int by) {
    page = Math.clamp(page + by, 0, pages - 1);
    ask();
  }

  /** Makes the card anew. */
  void refresh() {
    card = Optional.empty();
    ask();
  }

  /** The page that is to be seen, of the card that stands. */
  private void ask() {
    int wanted = page;
    Optional<byte[]> made = card;
    Job job = session.job();
    Words words = session.words();
    Practice practice = session.practice();
    RunSheet sheet = work.sheet();
    Issued how = issued.get();
    printer.ask(
        () -> page(made.orElseGet(() -> JobCard.pdf(job, words, practice, sheet, how)), wanted),
        this::take);
  }

  /** A card with one of its pages drawn. */
  private record Drawn(byte[] card, int pages, int page, Image image) {}

  private static Drawn page(byte[] card, int wanted) {
    int pages = CardPreview.pages(card);
    int page = Math.min(wanted, pages - 1);
    Image image = SwingFXUtils.toFXImage(CardPreview.page(card, page, DOTS_PER_INCH), null);
    return new Drawn(card, pages, page, image);
  }

  private void take(Drawn drawn) {
    card = Optional.of(drawn.card());
    pages = drawn.pages();
    page = drawn.page();
    image.setImage(drawn.image());
    which.setText(session.say("record.page", "page", page + 1, "pages", pages));
    back.setDisable(page == 0);
    on.setDisable(page >= pages - 1);
  }

  /** Whether what is shown is what was asked for last. */
  boolean isUpToDate() {
    return image.getImage() != null && !printer.isBusy();
  }
}
