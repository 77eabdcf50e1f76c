package aficion.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Colour;
import aficion.catalogue.Coverings;
import aficion.catalogue.WireSize;
import aficion.job.Cut;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.Termination;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.Work;
import aficion.make.CutLength;
import aficion.quantity.Metres;
import aficion.stock.Cutting.Remedy;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Wires cut from what is there: fewest metres opened, no joint, and what helps where it lacks. */
class CuttingTest {
    /** Metres on the rolls that are cut from. */
    private static double opened(double[] rolls, int[] from) {
        return Arrays.stream(from)
                .filter(roll -> roll >= 0)
                .distinct()
                .mapToDouble(roll -> rolls[roll])
                .sum();
    }

    private static void holds(double[] lengths, double[] rolls, int[] from) {
        var left = rolls.clone();
        for (int wire = 0; wire < lengths.length; wire++) {
            if (from[wire] >= 0) {
                left[from[wire]] -= lengths[wire];
            }
        }
        assertThat(Arrays.stream(left).min().orElse(0)).isGreaterThan(-1e-6);
    }

    /** The fewest metres that hold all lengths: of every choice of rolls the least that does. */
    private static double exact(double[] lengths, double[] rolls) {
        var longestFirst = Arrays.stream(lengths).sorted().toArray();
        double best = Double.POSITIVE_INFINITY;
        for (int bits = 0; bits < 1 << rolls.length; bits++) {
            var chosen = new ArrayList<Double>();
            for (int roll = 0; roll < rolls.length; roll++) {
                if ((bits >> roll & 1) == 1) {
                    chosen.add(rolls[roll]);
                }
            }
            double metres = chosen.stream().mapToDouble(Double::doubleValue).sum();
            var left = chosen.stream().mapToDouble(Double::doubleValue).toArray();
            if (metres < best && holds(longestFirst, left, lengths.length - 1)) {
                best = metres;
            }
        }
        return best;
    }

    /** Whether the wires up to one of them find room, the longest first, every way tried. */
    private static boolean holds(double[] lengths, double[] left, int wire) {
        if (wire < 0) {
            return true;
        }
        if (Arrays.stream(left).sum() < Arrays.stream(lengths, 0, wire + 1).sum() - 1e-9) {
            return false;
        }
        for (int roll = 0; roll < left.length; roll++) {
            if (left[roll] >= lengths[wire] - 1e-9) {
                left[roll] -= lengths[wire];
                boolean rest = holds(lengths, left, wire - 1);
                left[roll] += lengths[wire];
                if (rest) {
                    return true;
                }
            }
        }
        return false;
    }

    private static double[] random(Random random, int count, double least, double most) {
        return random.doubles(count, least, most)
                .map(each -> Math.round(each * 100) / 100.0)
                .toArray();
    }

    @Test
    void noMoreIsOpenedThanMustBe() {
        var random = new Random(7);
        int compared = 0;
        for (int i = 0; i < 200; i++) {
            var rolls = random(random, 2 + random.nextInt(4), 1, 12);
            var lengths = random(random, 3 + random.nextInt(8), 0.3, 3);
            var from = new Packing(lengths, rolls).best();
            holds(lengths, rolls, from);
            double least = exact(lengths, rolls);
            boolean all = Arrays.stream(from).allMatch(roll -> roll >= 0);
            assertThat(all)
                    .as("%s of %s", Arrays.toString(lengths), Arrays.toString(rolls))
                    .isEqualTo(Double.isFinite(least));
            if (all) {
                compared++;
                assertThat(opened(rolls, from)).isLessThanOrEqualTo(1.02 * least);
            }
        }
        assertThat(compared).isGreaterThan(80);
    }

    /** 2 + 2 and 3 + 1 fill two rolls of 4: longest first into the first that takes it. */
    @Test
    void whatIsLeftOfARollIsUsedUpFirst() {
        var from = new Packing(new double[] {2, 1, 3, 2}, new double[] {30, 4, 4}).best();

        assertThat(opened(new double[] {30, 4, 4}, from)).isCloseTo(8, within(1e-9));
    }

    @Test
    void whatDoesNotFitIsLeftAndTheRestIsCut() {
        var from = new Packing(new double[] {5, 1, 1}, new double[] {2.5}).best();

        assertThat(from).containsExactly(-1, 0, 0);
        assertThat(new Packing(new double[] {1}, new double[0]).best()).containsExactly(-1);
        assertThat(new Packing(new double[0], new double[] {1}).best()).isEmpty();
    }

    private static Design lamps(int count) {
        var builder =
                DesignBuilder.twelveVolts().fuse("F1", 10).wire("B1.+", "F1.1", "2.5mm2", 0.1);
        for (int i = 1; i <= count; i++) {
            builder.lamp("H" + i, 5).wire("F1.2", "H" + i + ".58", "1mm2", 1);
        }
        return builder.build();
    }

    private static List<Wire> leads(Design design) {
        return design.wires().stream()
                .filter(wire -> wire.size().designation().equals("1"))
                .toList();
    }

    private static Stock spool(Stock stock, Wire like, double metres) {
        return stock.adding(
                new Cut(like.size(), like.insulation(), like.colour()), new Metres(metres));
    }

    @Test
    void wiresComeFromTheirSpoolUntilTheyAreCut() {
        var design = lamps(2);
        var leads = leads(design);
        double each = CutLength.of(design, leads.getFirst()).cut().value();
        var stock = spool(Stock.EMPTY, leads.getFirst(), 10);

        var all = Cutting.of(design, Work.NONE, stock);
        assertThat(all.from())
                .containsEntry(leads.get(0).id(), 1)
                .containsEntry(leads.get(1).id(), 1);
        assertThat(all.opened().value()).isEqualTo(10);
        assertThat(all.left().value()).isCloseTo(10 - 2 * each, within(1e-9));
        assertThat(all.shortfalls()).as("battery lead and earth").hasSize(2);

        var begun = Cutting.of(design, Work.NONE.with(leads.get(0).id(), 1), stock);
        assertThat(begun.from()).doesNotContainKey(leads.get(0).id());
    }

    /** Another colour, a thicker wire that its terminals take, or 1.12 of it from a shop. */
    @Test
    void whatLacksSaysWhatHelps() {
        var design = lamps(1);
        var lead = leads(design).getFirst();
        double length = CutLength.of(design, lead).cut().value();
        var other = new Cut(lead.size(), lead.insulation(), WireColour.plain(Colour.PINK));
        var stock =
                Stock.EMPTY
                        .adding(other, new Metres(3))
                        .adding(
                                new Cut(
                                        WireSize.parse("1.5mm2").orElseThrow(),
                                        lead.insulation(),
                                        lead.colour()),
                                new Metres(3))
                        .pricing(lead.size().toString(), 0.5);

        var lacking =
                Cutting.of(design, Work.NONE, stock).shortfalls().stream()
                        .filter(each -> each.wires().contains(lead))
                        .findFirst()
                        .orElseThrow();

        assertThat(lacking.length().value()).isCloseTo(length, within(1e-9));
        double metres = Math.ceil(1.12 * length);
        assertThat(lacking.remedies())
                .contains(
                        new Remedy.OtherColour(stock.spools().get(0)),
                        new Remedy.Thicker(stock.spools().get(1)),
                        new Remedy.Buy(
                                new Metres(metres),
                                Optional.of(new Metres(5)),
                                Optional.of(0.5 * metres)));
    }

    @Test
    void aStockIsCountedAndTakenFrom() {
        var lead = leads(lamps(1)).getFirst();
        var stock = spool(Stock.EMPTY, lead, 10).taking(1, new Metres(4));
        assertThat(stock.spool(1).orElseThrow().left()).isEqualTo(new Metres(6));
        assertThat(stock.taking(1, new Metres(-4)).spool(1).orElseThrow().left())
                .isEqualTo(new Metres(10));
        assertThat(stock.taking(1, new Metres(40)).spool(1).orElseThrow().left())
                .isEqualTo(new Metres(0));
        assertThat(stock.taking(9, new Metres(1))).isEqualTo(stock);
        assertThat(stock.without(1).spools()).isEmpty();
        assertThat(spool(stock, lead, 1).spools())
                .extracting(Stock.Spool::number)
                .containsExactly(1, 2);

        var ring = new Termination("ring-m6");
        var tube = Coverings.of(Coverings.Sort.SHRINK).getFirst();
        var more = stock.counting(ring, 12).holding(tube, new Metres(2.5)).pricing("ring-m6", 0.2);
        assertThat(more.count(ring)).isEqualTo(12);
        assertThat(more.length(tube)).isEqualTo(new Metres(2.5));
        assertThat(more.counting(ring, 0).terminals()).isEmpty();
        assertThat(more.pricing("ring-m6", 0).prices()).isEmpty();
        assertThatIllegalArgumentException().isThrownBy(() -> more.counting(ring, -1));
        assertThatIllegalArgumentException().isThrownBy(() -> spool(stock, lead, -1));
    }
}
