package org.scholion.server.standard;

import jakarta.persistence.EntityManager;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Json;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** How each framework decides attainment. */
@Service
public class AttainmentRules {
    private final EntityManager entities;
    private final Access access;

    AttainmentRules(EntityManager entities, Access access) {
        this.entities = entities;
        this.access = access;
    }

    /** @param revision 0 while nobody has said anything of its own */
    public record AttainmentRuleView(AttainmentWay way, int revision) {}

    @Transactional(readOnly = true)
    public AttainmentRuleView see(Me me, UUID framework) {
        access.require(me, Access.Action.SEE_FRAMEWORK, framework);
        return of(framework);
    }

    /** The same for whoever is known to work with it. */
    @Transactional(readOnly = true)
    public AttainmentRuleView of(UUID framework) {
        AttainmentRuleRow row = entities.find(AttainmentRuleRow.class, framework);
        return row == null
                ? new AttainmentRuleView(AttainmentWay.USUAL, 0)
                : new AttainmentRuleView(
                        Json.MAPPER.treeToValue(row.rule, AttainmentWay.class),
                        Objects.requireNonNull(row.revision) + 1);
    }

    /**
     * Decides it differently from now on.
     *
     * @param revision the revision that was changed; another one in between is a conflict
     */
    @Transactional
    public AttainmentRuleView change(Me me, UUID framework, AttainmentWay way, int revision) {
        access.require(me, Access.Action.EDIT_FRAMEWORK, framework);
        AttainmentWay kept = way.inOrder();
        @Nullable AttainmentRuleRow row = entities.find(AttainmentRuleRow.class, framework);
        int now = row == null ? 0 : Objects.requireNonNull(row.revision) + 1;
        if (now != revision) {
            throw Refused.conflict(
                    "changed-meanwhile",
                    "A colleague has changed these levels meanwhile. Look at theirs, and change them again if you still want to.");
        }
        JsonNode rule = Json.MAPPER.valueToTree(kept);
        if (row == null) {
            entities.persist(new AttainmentRuleRow(framework, rule));
        } else {
            row.rule = rule;
        }
        entities.flush();
        return of(framework);
    }
}
