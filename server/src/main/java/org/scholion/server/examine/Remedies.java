package org.scholion.server.examine;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.measure.Figure;
import org.scholion.core.measure.Figures;
import org.scholion.server.access.Access;
import org.scholion.server.key.Edition;
import org.scholion.server.ledger.Brief;
import org.scholion.server.ledger.EffectView;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.Regrading;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is done about a question that did not work: looked at first, then made as an edition that can be undone. */
@Service
class Remedies {
    private final Regrading regrading;
    private final ExaminedPapers examined;
    private final Access access;

    Remedies(Regrading regrading, ExaminedPapers examined, Access access) {
        this.regrading = regrading;
        this.examined = examined;
        this.access = access;
    }

    /** What can be done. */
    enum Doing {
        /** One more option is right. */
        ACCEPT_ALSO,
        /** Another option is right instead. */
        CHANGE_KEY,
        DROP,
        CREDIT_ALL,
        CREDIT_ANSWERED,
        BONUS,
        /** It counts by its points again. */
        AS_USUAL,
        /** It is worth other points. */
        POINTS,
        /** So many percentage points are added to everyone's percentage. */
        ADD
    }

    /**
     * What is wanted.
     *
     * @param option the option that is accepted
     * @param amount the new points, or the percentage points to add
     * @param edition the number of the edition that was looked at
     */
    record Remedy(
            Doing what,
            @Nullable String item,
            @Nullable String option,
            @Nullable String amount,
            int edition) {}

    /** The reliability, and how the question goes with the rest, before and after. */
    record Reliability(Figure before, Figure after, Figure restBefore, Figure restAfter) {}

    /** What it would do; {@code words} say it as it will stand in the list of editions. */
    record RemedyView(String words, EffectView effect, Reliability reliability) {}

    /** What was done, and the edition that it made, by which it is undone. */
    record RemedyDone(String words, EffectView effect, int edition) {}

    @Transactional(readOnly = true)
    RemedyView preview(Me me, UUID assessment, Remedy remedy) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Edition latest = regrading.requireLatest(assessment, remedy.edition());
        Examined before = examined.read(latest, null);
        Regrading.Made made = RemedyMade.of(latest, remedy);
        Map<UUID, Map<String, Brief>> moved = new HashMap<>();
        EffectView effect = regrading.compare(made.candidate(), marks -> keep(before, marks, moved));
        return new RemedyView(made.why(), effect, reliability(before, before.under(made.candidate(), moved), remedy));
    }

    RemedyDone confirm(Me me, UUID assessment, Remedy remedy) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Regrading.Made made = RemedyMade.of(regrading.requireLatest(assessment, remedy.edition()), remedy);
        // The turn may come later: what is written is made of the edition that is the latest then, which is the same.
        EffectView effect =
                regrading.confirm(me, assessment, remedy.edition(), latest -> RemedyMade.of(latest, remedy), null);
        return new RemedyDone(made.why(), effect, made.candidate().number());
    }

    /** The marks that would move, each with what was chosen. */
    private static void keep(Examined paper, List<LedgerMark> marks, Map<UUID, Map<String, Brief>> moved) {
        Map<UUID, Examined.Row> rows = new HashMap<>();
        paper.rows().forEach(r -> rows.put(r.id(), r));
        for (LedgerMark mark : marks) {
            Examined.Row row = rows.get(mark.attempt());
            int place = paper.place(mark.item());
            if (row != null && place >= 0) {
                Brief was = row.marks().get(place);
                moved.computeIfAbsent(mark.attempt(), a -> new HashMap<>()).put(mark.item(), was.marked(mark));
            }
        }
    }

    private static Reliability reliability(Examined before, Examined after, Remedy remedy) {
        Figures was = Figures.of(new Codes(before).all());
        Figures would = Figures.of(new Codes(after).all());
        int place = remedy.item() == null ? -1 : before.place(remedy.item());
        Figure none = Figure.undefined("the whole paper");
        return new Reliability(
                was.test().alpha(),
                would.test().alpha(),
                place < 0 ? none : was.items().get(place).itemRest(),
                place < 0 ? none : would.items().get(place).itemRest());
    }

    static Item item(Edition edition, @Nullable String id) {
        return edition.items().stream()
                .filter(i -> i.id().equals(id))
                .findFirst()
                .orElseThrow(Refused::notFound);
    }

    static ChoiceItem choice(Edition edition, Remedy remedy) {
        if (item(edition, remedy.item()) instanceof ChoiceItem choice
                && choice.options().stream().anyMatch(o -> o.id().equals(remedy.option()))) {
            return choice;
        }
        throw Refused.invalid("option", "Name one of the question’s options.");
    }
}
