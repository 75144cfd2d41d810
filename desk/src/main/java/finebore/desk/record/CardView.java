package finebore.desk.record;

import finebore.card.CardPreview;
import finebore.card.JobCard;
import finebore.card.JobCard.Issued;
import finebore.desk.session.JobSession;
import finebore.desk.session.WorkSession;
import finebore.job.Job;
import finebore.machine.RunSheet;
import finebore.practice.Practice;
import finebore.words.Words;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Supplier;
import javafx.application.Platform;
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

  private static final ExecutorService PRINTER =
      Executors.newSingleThreadExecutor(
          r -> {
            Thread thread = new Thread(r, "card preview");
            thread.setDaemon(true);
            return thread;
          });

  private final JobSession session;
  private final WorkSession work;
  private final Supplier<Issued> issued;
  private final ImageView image = new ImageView();
  private final Label which = new Label();
  private final Button back = new Button("‹");
  private final Button on = new Button("›");
  private List<Image> pages = List.of();
  private int page;
  private int asked;

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
    page = Math.clamp(page + by, 0, Math.max(0, pages.size() - 1));
    showPage();
  }

  /** Makes the card anew; what was asked before and is not done yet is dropped. */
  void refresh() {
    int mine = ++asked;
    Job job = session.job();
    Words words = session.words();
    Practice practice = session.practice();
    RunSheet sheet = work.sheet();
    Issued how = issued.get();
    PRINTER.execute(
        () -> {
          if (mine != asked) {
            return;
          }
          List<Image> made =
              CardPreview.of(JobCard.pdf(job, words, practice, sheet, how), DOTS_PER_INCH).stream()
                  .map(p -> (Image) SwingFXUtils.toFXImage(p, null))
                  .toList();
          Platform.runLater(() -> take(mine, made));
        });
  }

  private void take(int mine, List<Image> made) {
    if (mine == asked) {
      pages = made;
      page = Math.min(page, pages.size() - 1);
      showPage();
    }
  }

  private void showPage() {
    image.setImage(pages.isEmpty() ? null : pages.get(page));
    which.setText(session.say("record.page", "page", page + 1, "pages", Math.max(1, pages.size())));
    back.setDisable(page == 0);
    on.setDisable(page >= pages.size() - 1);
  }

  /** Whether what is shown is what was asked for last. */
  boolean isUpToDate() {
    return !pages.isEmpty();
  }
}
