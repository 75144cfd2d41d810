package finebore.cli;

import finebore.job.Job;
import finebore.units.Units;
import finebore.words.Language;
import finebore.words.Words;
import java.util.Optional;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** The language a command answers in. */
final class Speech {

  /** Where a shop sets its language once and for all. */
  private static final String SET_BY = "FINEBORE_LANGUAGE";

  @Spec(Spec.Target.MIXEE)
  private CommandSpec spec;

  @Option(
      names = "--language",
      paramLabel = "TAG",
      description = "en (default), de, or what FINEBORE_LANGUAGE says.")
  private String tag;

  /** Sentences in the units of a job. */
  Words of(Job job) {
    return Words.of(language(), job.units());
  }

  private Language language() {
    String wanted = Optional.ofNullable(tag).or(Speech::set).orElse("en");
    return Language.of(wanted)
        .orElseThrow(
            () ->
                new ParameterException(
                    spec.commandLine(),
                    Words.of(Language.ENGLISH, Units.MM)
                        .text(
                            "cli.noLanguage",
                            "tag",
                            wanted,
                            "tags",
                            String.join(
                                ", ", Language.all().stream().map(Language::tag).toList()))));
  }

  private static Optional<String> set() {
    return Optional.ofNullable(System.getenv(SET_BY)).filter(t -> !t.isBlank());
  }

  /** Sentences of a language a shop has set, for what goes wrong before a job is read. */
  static Words ofShop() {
    return Words.of(set().flatMap(Language::of).orElse(Language.ENGLISH), Units.MM);
  }
}
