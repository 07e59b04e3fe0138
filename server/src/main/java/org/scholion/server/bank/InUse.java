package org.scholion.server.bank;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.measure.ItemMeasures;
import org.scholion.server.access.Access;
import org.scholion.server.examine.Examination;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How an item did where it was used. Figures of courses that one does not teach are not shown. */
@Service
class InUse {
    private final BankItems items;
    private final Examination examination;
    private final Access access;

    InUse(BankItems items, Examination examination, Access access) {
        this.items = items;
        this.examination = examination;
        this.access = access;
    }

    /** @param measures null where nobody has answered it yet, or where one may not see it */
    record UseFigures(BankItems.Use use, @Nullable ItemMeasures measures) {}

    @Transactional(readOnly = true)
    List<UseFigures> of(Me me, UUID item) {
        return items.uses(me, item).stream()
                .map(use -> new UseFigures(use, figures(me, use).orElse(null)))
                .toList();
    }

    private Optional<ItemMeasures> figures(Me me, BankItems.Use use) {
        if (!access.may(me, Access.Action.WORK_ON_ASSESSMENT, use.assessment())) {
            return Optional.empty();
        }
        return examination.of(use.assessment(), null).items().stream()
                .filter(i -> i.item().equals(use.item()))
                .map(Examination.ItemLine::measures)
                .filter(m -> m.n() > 0)
                .findFirst();
    }
}
