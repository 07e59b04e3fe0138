package org.scholion.core.score;

import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.SpotItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;

/** Points on a picture: each, in order, hits the first keyed region that holds it and is not hit yet. */
final class SpotScorer implements Scorer {
    private final SpotItem item;
    private final List<SpotItem.Region> keyed;

    SpotScorer(SpotItem item) {
        this.item = item;
        this.keyed = item.key().stream()
                .map(id -> item.regions().stream()
                        .filter(r -> r.id().equals(id))
                        .findFirst()
                        .orElse(null))
                .filter(Objects::nonNull)
                .toList();
    }

    @Override
    public Mark score(Answer answer) {
        List<SpotItem.Point> points = Expect.points(item, answer);
        if (points.isEmpty()) {
            return Mark.BLANK;
        }
        Set<String> hit = new HashSet<>();
        int elsewhere = 0;
        int outside = 0;
        for (SpotItem.Point point : points) {
            List<SpotItem.Region> holding = keyed.stream()
                    .filter(r -> r.shape().holds(point, item.aspect()))
                    .toList();
            boolean found = holding.stream().anyMatch(r -> !hit.contains(r.id()));
            holding.stream().filter(r -> !hit.contains(r.id())).findFirst().ifPresent(r -> hit.add(r.id()));
            elsewhere += found ? 0 : 1;
            outside += holding.isEmpty() ? 1 : 0;
        }
        return mark(points.size(), hit.size(), elsewhere, outside);
    }

    /** {@code elsewhere} hit nothing new; {@code outside} of these lie in no keyed region at all. */
    private Mark mark(int points, int hit, int elsewhere, int outside) {
        int k = keyed.size();
        Fraction share = Fraction.of(hit, k);
        return switch (item.rule()) {
            case HITS ->
                points > k
                        ? Mark.scored(
                                Fraction.ZERO,
                                told(Code.SPOT_HITS, hit, elsewhere)
                                        .with("points", points)
                                        .with("over", points - k))
                        : Mark.scored(share, told(Code.SPOT_HITS, hit, elsewhere));
            case NET ->
                Mark.scored(Fraction.of(hit - outside, k).max(Fraction.ZERO), told(Code.SPOT_NET, hit, outside));
            case EXACT ->
                Mark.scored(
                        hit == k && elsewhere == 0 ? Fraction.ONE : Fraction.ZERO,
                        told(Code.SPOT_EXACT, hit, elsewhere));
        };
    }

    private Reason told(Code code, int right, int wrong) {
        return Reason.of(code).with("right", right).with("wrong", wrong).with("keyed", keyed.size());
    }

    @Override
    public String form(Answer answer) {
        return answer.shown();
    }
}
