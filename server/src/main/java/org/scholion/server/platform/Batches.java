package org.scholion.server.platform;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.hibernate.Session;
import org.hibernate.StatelessSession;
import org.hibernate.query.SelectionQuery;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Rows written many at a time, past what Hibernate keeps of a transaction, in the transaction that is under way. */
@Component
public class Batches {
    private final EntityManager entities;

    Batches(EntityManager entities) {
        this.entities = entities;
    }

    /** Rows as they lie there, which nobody changes by chance. */
    @Transactional(readOnly = true)
    public <T> List<T> read(String query, Class<T> row, Map<String, ?> parameters) {
        try (StatelessSession stateless = open()) {
            SelectionQuery<T> selection = stateless.createSelectionQuery(query, row);
            parameters.forEach((name, value) -> {
                if (value instanceof Collection<?> many) {
                    selection.setParameterList(name, many);
                } else {
                    selection.setParameter(name, value);
                }
            });
            return selection.getResultList();
        }
    }

    @Transactional(propagation = Propagation.MANDATORY)
    public void insert(List<?> rows) {
        with(rows, s -> s.insertMultiple(rows));
    }

    @Transactional(propagation = Propagation.MANDATORY)
    public void update(List<?> rows) {
        with(rows, s -> s.updateMultiple(rows));
    }

    private void with(List<?> rows, Consumer<StatelessSession> work) {
        if (rows.isEmpty()) {
            return;
        }
        // What they refer to may be waiting to be written.
        entities.flush();
        try (StatelessSession stateless = open()) {
            work.accept(stateless);
        }
    }

    private StatelessSession open() {
        return entities.unwrap(Session.class)
                .statelessWithOptions()
                .connection()
                .open();
    }
}
