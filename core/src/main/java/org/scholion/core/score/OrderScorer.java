package org.scholion.core.score;

import java.util.List;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.OrderItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;

/** An order under one of five rules; n is the length of the key. */
final class OrderScorer implements Scorer {
    private final OrderItem item;
    private final List<String> key;

    OrderScorer(OrderItem item) {
        this.item = item;
        this.key = item.key();
    }

    @Override
    public Mark score(Answer answer) {
        List<String> said = Expect.ordered(item, answer);
        if (said.isEmpty()) {
            return Mark.BLANK;
        }
        int n = key.size();
        return switch (item.rule()) {
            case EXACT ->
                said.equals(key)
                        ? Mark.scored(Fraction.ONE, Reason.of(Code.ORDER_EXACT).with("right", n))
                        : Mark.scored(Fraction.ZERO, Reason.of(Code.ORDER_EXACT));
            case PLACES -> share(Code.ORDER_PLACES, places(said), n);
            case NEIGHBOURS -> share(Code.ORDER_NEIGHBOURS, neighbours(said), n - 1);
            case COUPLES -> share(Code.ORDER_COUPLES, couples(said), n * (n - 1) / 2);
            case LONGEST -> longest(said, n);
        };
    }

    private static Mark share(Code code, int right, int all) {
        return Mark.scored(
                Fraction.of(right, all), Reason.of(code).with("right", right).with("all", all));
    }

    private int places(List<String> said) {
        int right = 0;
        for (int i = 0; i < Math.min(key.size(), said.size()); i++) {
            right += said.get(i).equals(key.get(i)) ? 1 : 0;
        }
        return right;
    }

    private int neighbours(List<String> said) {
        int right = 0;
        for (int i = 0; i + 1 < key.size(); i++) {
            int at = said.indexOf(key.get(i));
            right += at >= 0 && at + 1 < said.size() && said.get(at + 1).equals(key.get(i + 1)) ? 1 : 0;
        }
        return right;
    }

    private int couples(List<String> said) {
        int right = 0;
        for (int i = 0; i < key.size(); i++) {
            for (int j = i + 1; j < key.size(); j++) {
                int first = said.indexOf(key.get(i));
                right += first >= 0 && said.indexOf(key.get(j)) > first ? 1 : 0;
            }
        }
        return right;
    }

    /** (L - 1) / (n - 1), L the longest common subsequence with the key. */
    private Mark longest(List<String> said, int n) {
        int[][] run = new int[said.size() + 1][n + 1];
        for (int i = 1; i <= said.size(); i++) {
            for (int j = 1; j <= n; j++) {
                run[i][j] = said.get(i - 1).equals(key.get(j - 1))
                        ? run[i - 1][j - 1] + 1
                        : Math.max(run[i - 1][j], run[i][j - 1]);
            }
        }
        int length = run[said.size()][n];
        return Mark.scored(
                Fraction.of(Math.max(0, length - 1), n - 1),
                Reason.of(Code.ORDER_LONGEST).with("run", length).with("all", n - 1));
    }

    @Override
    public String form(Answer answer) {
        return String.join(";", Expect.ordered(item, answer));
    }
}
