package org.scholion.core.standard;

import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;

/**
 * Where a student stands on a standard over several assessments.
 *
 * @param percent rounded as it is shown; null without evidence
 * @param level null when it rests on too little, or lies below the lowest
 * @param interval Wilson's interval of all evidence; null without evidence
 * @param pieces items, criteria and parts that it rests on
 * @param reason how it came about
 */
public record Attainment(
        @Nullable Fraction percent,
        @Nullable Level level,
        @Nullable Wilson interval,
        int pieces,
        Reason reason) {

    /**
     * How attainment is decided in a framework.
     *
     * @param levels in any order
     * @param minEvidence with fewer pieces there is no level; 2 where nothing else is said
     * @param percentDigits decimals of the percent on which levels are decided
     */
    public record Rule(Method method, List<Level> levels, int minEvidence, int percentDigits) {
        public Rule {
            levels = List.copyOf(levels);
        }

        private @Nullable Level level(@Nullable Fraction percent) {
            return levels.stream()
                    .filter(l -> percent != null && l.from().compareTo(percent) <= 0)
                    .max(Comparator.comparing(Level::from))
                    .orElse(null);
        }
    }

    /**
     * The attainment.
     *
     * @param evidence one for each assessment that touches the standard, in order of time
     */
    public static Attainment of(Rule rule, List<Evidence> evidence) {
        List<Evidence> touching =
                evidence.stream().filter(e -> e.percent() != null).toList();
        Evidence all = pooled(touching);
        if (touching.isEmpty()) {
            return new Attainment(null, null, null, 0, Reason.of(Code.ATTAINED_NOTHING));
        }
        Found found = found(rule, touching);
        Fraction percent = found.percent().rounded(rule.percentDigits());
        Level level =
                found.level() != null || rule.method() instanceof Method.Count ? found.level() : rule.level(percent);
        boolean enough = all.pieces() >= rule.minEvidence();
        Reason reason = found.reason().with("percent", percent).with("pieces", all.pieces());
        return new Attainment(
                percent,
                enough ? level : null,
                found.over().interval(),
                all.pieces(),
                enough ? reason : reason.with("needed", rule.minEvidence()));
    }

    /** Whether there is evidence, but not enough for a level. */
    public boolean isTooLittle() {
        return reason.has("needed");
    }

    /** What a method finds: the percent, what it rests on, and why. */
    private record Found(
            Fraction percent,
            Evidence over,
            Reason reason,
            @Nullable Level level) {}

    private static Found found(Rule rule, List<Evidence> touching) {
        Method method = rule.method();
        if (method instanceof Method.Latest latest) {
            List<Evidence> last = last(touching, latest.n());
            return pooled(last, Reason.of(Code.ATTAINED_LATEST).with("last", last.size()));
        }
        if (method instanceof Method.Decay decay) {
            Fraction m = percent(touching.get(0));
            for (Evidence e : touching.subList(1, touching.size())) {
                m = decay.w()
                        .times(percent(e))
                        .plus(Fraction.ONE.minus(decay.w()).times(m));
            }
            return new Found(
                    m,
                    pooled(touching),
                    Reason.of(Code.ATTAINED_DECAY).with("weight", decay.w()).with("percents", percents(touching)),
                    null);
        }
        if (method instanceof Method.Best) {
            Evidence best = touching.stream()
                    .max(Comparator.comparing(Attainment::percent))
                    .orElseThrow();
            return pooled(List.of(best), Reason.of(Code.ATTAINED_BEST).with("assessments", touching.size()));
        }
        return method instanceof Method.Count count
                ? counted(rule, count, touching)
                : pooled(touching, Reason.of(Code.ATTAINED_SHARE).with("assessments", touching.size()));
    }

    private static Found pooled(List<Evidence> evidence, Reason reason) {
        Evidence all = pooled(evidence);
        return new Found(percent(all), all, reason.with("score", all.score()).with("possible", all.possible()), null);
    }

    private static Found counted(Rule rule, Method.Count count, List<Evidence> touching) {
        List<Evidence> last = last(touching, count.m());
        Level level = rule.levels().stream()
                .filter(l -> reaching(last, l, rule) >= count.n())
                .max(Comparator.comparing(Level::from))
                .orElse(null);
        Reason reason = Reason.of(Code.ATTAINED_COUNT)
                .with("asked", count.n())
                .with("last", last.size())
                .with("reached", level == null ? 0 : reaching(last, level, rule));
        Evidence all = pooled(last);
        return new Found(percent(all), all, reason, level);
    }

    private static long reaching(List<Evidence> evidence, Level level, Rule rule) {
        return evidence.stream()
                .filter(e -> percent(e).rounded(rule.percentDigits()).compareTo(level.from()) >= 0)
                .count();
    }

    private static List<Evidence> last(List<Evidence> evidence, int n) {
        return evidence.subList(Math.max(0, evidence.size() - n), evidence.size());
    }

    private static Evidence pooled(List<Evidence> evidence) {
        return evidence.stream().reduce(Evidence.NONE, Evidence::plus);
    }

    private static Fraction percent(Evidence evidence) {
        return Objects.requireNonNull(evidence.percent());
    }

    private static List<String> percents(List<Evidence> evidence) {
        return evidence.stream().map(e -> percent(e).toDecimal(1)).toList();
    }
}
