package org.scholion.server.crosswalk;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.scholion.core.standard.Crosswalk;
import org.scholion.core.standard.Framework;
import org.scholion.core.standard.Likeness;
import org.scholion.server.platform.Me;
import org.scholion.server.standard.Frameworks;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Crosswalks as the school keeps them, with proposals for what is not mapped yet. */
@Service
public class Crosswalks {
    private final EntityManager entities;
    private final Frameworks frameworks;
    private final Clock clock;

    Crosswalks(EntityManager entities, Frameworks frameworks, Clock clock) {
        this.entities = entities;
        this.frameworks = frameworks;
        this.clock = clock;
    }

    /** A newer standard that is like an older one; the likeness in percent. */
    record ProposedStandard(String code, String text, int likeness) {}

    /**
     * An older standard.
     *
     * @param mapped whether anybody has said what it became; with nothing in {@code to} it was given up
     */
    record CrosswalkLine(String code, String text, boolean mapped, List<String> to, List<ProposedStandard> proposed) {}

    @Transactional(readOnly = true)
    public List<CrosswalkLine> see(Me me, UUID older, UUID newer) {
        Framework from = frameworks.read(me, older);
        Framework to = frameworks.read(me, newer);
        Crosswalk known = links(older, newer);
        List<CrosswalkLine> lines = new ArrayList<>();
        for (Framework.Standard s : from.standards()) {
            List<String> targets = known.links().stream()
                    .filter(l -> l.from().equals(s.code()))
                    .findFirst()
                    .map(Crosswalk.Link::to)
                    .orElse(null);
            lines.add(new CrosswalkLine(
                    s.code(),
                    s.text(),
                    targets != null,
                    targets == null ? List.of() : targets,
                    Likeness.of(s, to).stream().map(Crosswalks::proposed).toList()));
        }
        return lines;
    }

    private static ProposedStandard proposed(Likeness.Proposal p) {
        return new ProposedStandard(
                p.code(), p.text(), (int) Math.round(p.likeness().times(100).toDouble()));
    }

    @Transactional
    public void save(Me me, UUID older, UUID newer, List<Crosswalk.Link> links) {
        Crosswalk checked = new Crosswalk(links).between(frameworks.read(me, older), frameworks.read(me, newer));
        ArrayNode node = JsonNodeFactory.instance.arrayNode();
        checked.links().forEach(l -> {
            ObjectNode link = node.addObject().put("from", l.from());
            l.to().forEach(link.putArray("to")::add);
        });
        entities.createQuery("""
                        insert into CrosswalkRow (older, newer, links, by, at) values (:older, :newer, :links, :me, :now)
                        on conflict (older, newer) do update set links = excluded.links, by = excluded.by, at = excluded.at""")
                .setParameter("older", older)
                .setParameter("newer", newer)
                .setParameter("links", node)
                .setParameter("me", me.id())
                .setParameter("now", clock.instant())
                .executeUpdate();
    }

    Crosswalk links(UUID older, UUID newer) {
        List<Crosswalk.Link> links = new ArrayList<>();
        CrosswalkRow row = entities.find(CrosswalkRow.class, new CrosswalkRow.Key(older, newer));
        if (row != null) {
            row.links.forEach(l -> links.add(new Crosswalk.Link(
                    l.path("from").asString(""),
                    l.path("to").valueStream().map(JsonNode::asString).toList())));
        }
        return new Crosswalk(links);
    }
}
