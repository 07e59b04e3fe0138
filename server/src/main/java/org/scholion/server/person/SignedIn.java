package org.scholion.server.person;

import jakarta.persistence.EntityManager;
import jakarta.persistence.EntityManagerFactory;
import jakarta.persistence.Query;
import jakarta.persistence.TypedQuery;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.SessionFactory;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.SignIns;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.DeferredSecurityContext;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Who is signed in. The browser has a random word in a cookie; the person, with the role as it is now and the school's
 * limits, is read at each request, in one statement.
 */
@Component
class SignedIn implements SecurityContextRepository, SignIns {
    /** That somebody is still there is noted so often and no more. */
    private static final Duration NOTED = Duration.ofMinutes(1);

    /** A page that asks again by itself says so: that is nothing that somebody does. */
    private static final String UNTOUCHED = "X-Untouched";

    /** What is longer over than any school allows. */
    private static final Duration FORGOTTEN = Duration.ofDays(31);

    private static final String FACTS = "select p.id, p.school, p.role, p.given, p.family, i.madeAt, i.seenAt,"
            + " s.idleMinutes, s.sessionHours, i.sitting from SignInRow i join Person p on p.id = i.person"
            + " join School s on s.id = p.school where p.disabledAt is null and i.token ";

    private final EntityManager entities;
    private final SessionFactory sessions;
    private final TransactionTemplate transaction;
    private final Events events;
    private final Clock clock;

    SignedIn(
            EntityManager entities,
            EntityManagerFactory factory,
            TransactionTemplate transaction,
            Events events,
            Clock clock) {
        this.entities = entities;
        this.sessions = factory.unwrap(SessionFactory.class);
        this.transaction = transaction;
        this.events = events;
        this.clock = clock;
    }

    @Override
    @SuppressWarnings("deprecation")
    public SecurityContext loadContext(HttpRequestResponseHolder holder) {
        return load(holder.getRequest());
    }

    @Override
    public DeferredSecurityContext loadDeferredContext(HttpServletRequest request) {
        return new WhenAsked(request);
    }

    /** Pages and scripts ask nobody who they are. */
    private final class WhenAsked implements DeferredSecurityContext {
        private final HttpServletRequest request;
        private @Nullable SecurityContext context;

        WhenAsked(HttpServletRequest request) {
            this.request = request;
        }

        @Override
        public SecurityContext get() {
            SecurityContext known = context;
            if (known == null) {
                known = load(request);
                context = known;
            }
            return known;
        }

        @Override
        public boolean isGenerated() {
            return get().getAuthentication() == null;
        }
    }

    private SecurityContext load(HttpServletRequest request) {
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        Instant now = clock.instant();
        Token.of(request)
                .ifPresent(token -> find(token).filter(f -> !f.isOver(now)).ifPresent(f -> {
                    boolean untouched = request.getHeader(UNTOUCHED) != null;
                    if (!untouched && now.isAfter(f.seenAt().plus(NOTED))) {
                        seen(token, now);
                    }
                    context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                            f.me(), null, List.of(new SimpleGrantedAuthority(f.authority()))));
                }));
        return context;
    }

    private Optional<SignInFacts> find(Token token) {
        // Asked at every request: without a session's memory it costs half.
        return sessions.fromStatelessSession(session -> session
                .createSelectionQuery(FACTS + "= :token", SignInFacts.class)
                .setParameter("token", token.hash())
                .getResultList()
                .stream()
                .findFirst());
    }

    private void seen(Token token, Instant now) {
        transaction.executeWithoutResult(
                t -> entities.createQuery("update SignInRow set seenAt = :now where token = :token")
                        .setParameter("now", now)
                        .setParameter("token", token.hash())
                        .executeUpdate());
    }

    /** Nothing is kept between requests but what signing in has written. */
    @Override
    public void saveContext(SecurityContext context, HttpServletRequest request, HttpServletResponse response) {}

    @Override
    public boolean containsContext(HttpServletRequest request) {
        return Token.of(request).isPresent();
    }

    /** Signs in: a new word for the browser, so that one known before is worth nothing. The cookie that holds it. */
    ResponseCookie begin(Me me, HttpServletRequest request) {
        Token token = Token.random();
        Instant now = clock.instant();
        transaction.executeWithoutResult(t -> {
            Token.of(request).ifPresent(this::delete);
            entities.createQuery("delete from SignInRow where madeAt < :old")
                    .setParameter("old", now.minus(FORGOTTEN))
                    .executeUpdate();
            entities.persist(new SignInRow(token.hash(), me.id(), me.only(), now));
        });
        return token.cookie(request);
    }

    /** Signs out in this browser. */
    ResponseCookie end(HttpServletRequest request) {
        transaction.executeWithoutResult(t -> Token.of(request).ifPresent(this::delete));
        return Token.gone(request);
    }

    private void delete(Token token) {
        entities.createQuery("delete from SignInRow where token = :token")
                .setParameter("token", token.hash())
                .executeUpdate();
        events.signedOut(token.key());
    }

    /** Signs a person out everywhere, but for one browser where one is named. */
    void endAll(UUID person, @Nullable HttpServletRequest but) {
        byte[] kept = but == null ? new byte[0] : Token.of(but).map(Token::hash).orElse(new byte[0]);
        endWhere("person = :person and token <> :kept", Map.of("person", person, "kept", kept));
    }

    @Override
    public void endOf(UUID sitting) {
        endWhere(
                "sitting = :sitting and person in (select p.id from Person p where p.guestOf is null)",
                Map.of("sitting", sitting));
    }

    /** Signs out the guests of a sitting. */
    void endGuestsOf(UUID sitting) {
        endWhere("person in (select p.id from Person p where p.guestOf = :sitting)", Map.of("sitting", sitting));
    }

    /** Ends these, and the streams that are open under them. */
    private void endWhere(String which, Map<String, Object> values) {
        transaction.executeWithoutResult(t -> {
            TypedQuery<byte[]> these = entities.createQuery("select token from SignInRow where " + which, byte[].class);
            Query delete = entities.createQuery("delete from SignInRow where " + which);
            values.forEach((name, value) -> {
                these.setParameter(name, value);
                delete.setParameter(name, value);
            });
            List<byte[]> ended = these.getResultList();
            delete.executeUpdate();
            ended.forEach(hash -> events.signedOut(HexFormat.of().formatHex(hash)));
        });
    }

    @Override
    public String key(HttpServletRequest request) {
        return Token.of(request).map(Token::key).orElse("");
    }

    @Override
    public Set<String> alive(Collection<String> keys) {
        if (keys.isEmpty()) {
            return Set.of();
        }
        Instant now = clock.instant();
        List<byte[]> hashes = keys.stream().map(HexFormat.of()::parseHex).toList();
        return entities
                .createQuery(
                        "select i.token, i.madeAt, i.seenAt, s.idleMinutes, s.sessionHours from SignInRow i"
                                + " join Person p on p.id = i.person join School s on s.id = p.school"
                                + " where p.disabledAt is null and i.token in (:tokens)",
                        StreamFacts.class)
                .setParameter("tokens", hashes)
                .getResultList()
                .stream()
                .filter(f -> !f.isOver(now))
                .map(f -> HexFormat.of().formatHex(f.token()))
                .collect(Collectors.toSet());
    }
}
