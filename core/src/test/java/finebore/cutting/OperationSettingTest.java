package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.code.Coded;
import finebore.code.Term;
import finebore.found.Ring;
import finebore.seat.Seat;
import finebore.units.Dimension;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What can be set of an operation, what it comes to, and how it follows the wanted seat. */
class OperationSettingTest {

  /** Outside 38.4, throat 35, 7.4 deep. */
  private static final Seat WANTED = Samples.TRUED;

  private static OperationSetting<?> setting(Operation operation, String id) {
    return operation.settings().stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
  }

  private static List<Term> terms(Operation operation, String id) {
    return setting(operation, id).term(operation, WANTED);
  }

  @ParameterizedTest
  @CsvSource({
    "fitRing, ",
    "openThroat, throatMm/taperDeg/throatEndMm",
    "cutForm, cutter/pointerMm/plunge",
    "cutAngle, ",
    "sweepChamber, ",
    "takeWallBack, fromClock/toClock/wallMm",
    "cutUnder, ",
    "openBowl, ",
    "blend, side/keepOffMm/blendRadiusMm"
  })
  void everyKindSaysWhatCanBeSet(String key, String ids) {
    Operation kind =
        Operation.kinds().stream().filter(o -> o.key().equals(key)).findFirst().orElseThrow();
    assertThat(kind.code()).isEqualTo("operation." + key);
    assertThat(kind.settings()).isNotEmpty();
    if (ids != null) {
      assertThat(kind.settings().stream().map(OperationSetting::id))
          .containsExactly(ids.split("/"));
    }
    assertThat(kind.settings())
        .allMatch(s -> s.code().equals("setting." + s.id()))
        .allMatch(s -> s.of().isInstance(kind));
  }

  @Test
  void openSettingsComeToWhatTheSeatWants() {
    assertThat(terms(OpenThroat.AS_WANTED, "throatMm")).containsExactly(Term.length(35));
    assertThat(
            terms(new OpenThroat(OptionalDouble.of(34.5), 3, OptionalDouble.empty()), "throatMm"))
        .containsExactly(Term.length(34.5));
    assertThat(terms(OpenThroat.AS_WANTED, "throatEndMm")).isEmpty();
    assertThat(terms(OpenThroat.AS_WANTED, "taperDeg"))
        .containsExactly(new Term.Figure(Dimension.ANGLE, 0));
    assertThat(terms(CutForm.AS_WANTED, "pointerMm")).containsExactly(Term.length(38.4));
    assertThat(terms(Blend.PORT_SIDE, "side")).containsExactly(Term.name((Coded) Blend.Side.PORT));
  }

  @Test
  void aCutterIsNamedWhereOneIs() {
    assertThat(terms(CutForm.AS_WANTED, "cutter")).isEmpty();
    assertThat(terms(new CutForm("A4", OptionalDouble.empty(), new Plunge.AsPlanned()), "cutter"))
        .containsExactly(Term.quote("A4"));
  }

  @ParameterizedTest
  @CsvSource({
    "false, 0, plunge.clean",
    "false, 0.05, plunge.clean.more",
    "true, 0, plunge.allClean",
    "true, 0.05, plunge.allClean.more"
  })
  void aPlungeSaysHowFar(boolean all, double more, String code) {
    Plunge plunge = new Plunge.UntilClean(more, all);
    assertThat(plunge.message().code()).isEqualTo(code);
    assertThat(terms(new CutForm("", OptionalDouble.empty(), plunge), "plunge"))
        .containsExactly(Term.phrase(plunge.message()));
    assertThat(new Plunge.AsPlanned().message().code()).isEqualTo("plunge.planned");
    assertThat(new Plunge.ToDepth(8.2).message().code()).isEqualTo("plunge.depth");
  }

  @Test
  void whatStoodForASizeIsOpenedWhereThatSizeChanged() {
    CutForm form = new CutForm("A4", OptionalDouble.of(38.1), new Plunge.ToDepth(8.2));
    assertThat(form.following(WANTED, WANTED)).isEqualTo(form);
    assertThat(form.following(WANTED, WANTED.withThroatDiameter(34.5))).isEqualTo(form);
    assertThat(form.following(WANTED, WANTED.withDepthMm(7.5)))
        .isEqualTo(new CutForm("A4", OptionalDouble.of(38.1), new Plunge.AsPlanned()));
    assertThat(form.following(WANTED, WANTED.withOutsideDiameterMm(38.5)))
        .isEqualTo(new CutForm("A4", OptionalDouble.empty(), new Plunge.ToDepth(8.2)));
    OpenThroat throat = new OpenThroat(OptionalDouble.of(34.5), 3, OptionalDouble.of(16));
    assertThat(throat.following(WANTED, WANTED.withThroatDiameter(34.7)))
        .isEqualTo(new OpenThroat(OptionalDouble.empty(), 3, OptionalDouble.of(16)));
    assertThat(throat.following(WANTED, WANTED.withDepthMm(7.5))).isEqualTo(throat);
  }

  @Test
  void usuallyThroatFormAndBowl() {
    assertThat(UsualOperations.asPlanned())
        .containsExactly(OpenThroat.AS_WANTED, CutForm.AS_WANTED, OpenBowl.AS_WANTED);
  }

  @Test
  void aNewRingIsAWallRoundTheSeatAndAFloorUnderTheCuts() {
    // 38.4 and two walls of 2, rounded up to a whole millimetre.
    double floor = WANTED.lowestMm() + 3;
    assertThat(UsualOperations.ring(WANTED, Optional.empty()))
        .isEqualTo(new Ring(43, 34, floor, floor - 7.4 + 1, 0.1, ""));
    Ring old = new Ring(41, 33, 14, 7.5, 0.08, "iron");
    Ring larger = UsualOperations.ring(WANTED, Optional.of(old));
    assertThat(larger.outsideDiameterMm()).isGreaterThan(41);
    assertThat(larger).isEqualTo(new Ring(larger.outsideDiameterMm(), 33, 14, 7.5, 0.08, "iron"));
  }
}
