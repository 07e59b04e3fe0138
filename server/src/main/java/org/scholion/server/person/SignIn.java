package org.scholion.server.person;

import jakarta.annotation.PreDestroy;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.platform.Watched;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Checks names and passwords, and slows down whoever guesses: by name and address together, so that nobody is kept out
 * by what somebody else does. A try is counted before it is looked at, in one statement, so that many at once are no more
 * than many one after the other. A right password is taken whenever its turn has come.
 */
@Service
class SignIn {
    /** So many wrong ones cost nothing. */
    private static final int FREE = 5;

    private static final Duration LONGEST_STEP = Duration.ofSeconds(16);
    private static final Duration LONGEST_WAIT = Duration.ofSeconds(60);
    private static final Duration FORGOTTEN = Duration.ofMinutes(15);

    /** A password's hash takes a while on purpose: one at a time, so that a school that signs in keeps a processor. */
    private static final int MOST_WAITING = 2_000;

    private final People people;
    private final WaysIn waysIn;
    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final Access access;
    private final Clock clock;
    private final ThreadPoolExecutor checking =
            new ThreadPoolExecutor(1, 1, 0, TimeUnit.SECONDS, new LinkedBlockingQueue<>(MOST_WAITING), work -> {
                Thread thread = new Thread(work, "passwords");
                thread.setDaemon(true);
                return thread;
            });

    SignIn(
            People people,
            WaysIn waysIn,
            EntityManager entities,
            TransactionTemplate transaction,
            Access access,
            Clock clock) {
        this.people = people;
        this.waysIn = waysIn;
        this.entities = entities;
        this.transaction = transaction;
        this.access = access;
        this.clock = clock;
    }

    @PreDestroy
    void close() {
        checking.shutdownNow();
    }

    /** Who it is, once its turn has come; no thread waits meanwhile. */
    CompletableFuture<Me> check(String username, String password, String address) {
        return inTurn(username, address, key -> now(key, password));
    }

    /** Chooses a password with a code from a slip; a wrong code waits as a wrong password does. */
    CompletableFuture<Me> choose(String username, String code, String password, String address) {
        return inTurn(username, address, key -> {
            UUID person =
                    people.idOf(key.name()).filter(p -> waysIn.isCode(p, code)).orElseThrow(WaysIn::used);
            Me me = waysIn.enter(person, code, password);
            forget(key.name(), key.address());
            return me;
        });
    }

    /** Lets into one sitting with a code from a slip; a wrong one waits as a wrong password does. */
    CompletableFuture<Me> slip(SittingEntry entry, String way, String who, String code, String address) {
        return inTurn(way + " " + who, address, key -> {
            Me me = entry.enter(way, who, code).orElseThrow(() -> {
                Watched.note(Watched.What.WRONG_PASSWORD, null, "slip");
                return new Refused(
                        HttpStatus.UNAUTHORIZED,
                        "slip",
                        "The number or the code is not right. Type both as they stand on your slip.",
                        List.of());
            });
            forget(key.name(), key.address());
            return me;
        });
    }

    private CompletableFuture<Me> inTurn(String username, String address, Function<SignInTry.Key, Me> work) {
        String name = username.strip().toLowerCase(Locale.ROOT);
        SignInTry.Key key = new SignInTry.Key(name, address);
        Duration wait = reserve(key);
        if (wait.compareTo(LONGEST_WAIT) > 0) {
            Watched.note(Watched.What.SLOWED_DOWN, people.idOf(name).orElse(null), null);
            throw tooMany(wait);
        }
        try {
            return CompletableFuture.supplyAsync(() -> work.apply(key), later(wait));
        } catch (RejectedExecutionException e) {
            throw tooMany(LONGEST_STEP);
        }
    }

    private Executor later(Duration wait) {
        return wait.isZero()
                ? checking
                : CompletableFuture.delayedExecutor(wait.toMillis(), TimeUnit.MILLISECONDS, checking);
    }

    private static Refused tooMany(Duration wait) {
        return new Refused(
                HttpStatus.TOO_MANY_REQUESTS,
                "too-many",
                "Too many wrong tries under this name from here. Wait " + (wait.toSeconds() + 1)
                        + " seconds and try again, or ask your school for a new password or code.",
                List.of());
    }

    private Me now(SignInTry.Key key, String password) {
        Me me = people.check(key.name(), password).orElseThrow(() -> {
            if (people.idOf(key.name()).filter(p -> waysIn.isCode(p, password)).isPresent()) {
                forget(key.name(), key.address());
                return Refused.conflict(
                        "choose-password", "This code lets you in once. Choose a password of your own now.");
            }
            Watched.note(Watched.What.WRONG_PASSWORD, people.idOf(key.name()).orElse(null), null);
            return new Refused(
                    HttpStatus.UNAUTHORIZED,
                    "sign-in",
                    "The name or the password is not right. Check both and try again.",
                    List.of());
        });
        forget(key.name(), key.address());
        return me;
    }

    /** Counts a try as failed until it is known not to be, and says how long it has to wait for its turn. */
    private Duration reserve(SignInTry.Key key) {
        Instant now = clock.instant();
        Instant turn = transaction.execute(t -> (Instant) entities.createNativeQuery("""
                        insert into sign_in_try as tried (name, address, fails, until) values (:name, :address, 1, :now)
                        on conflict (name, address) do update set
                          fails = case when tried.until < :forgotten then 1 else tried.fails + 1 end,
                          until = case when tried.until > :full then tried.until
                            else greatest(tried.until, :now) + make_interval(secs =>
                              case when tried.until < :forgotten or tried.fails < :free then 0
                                   else least(:longest, power(2, least(tried.fails - :free, 10))) end) end
                        returning until""", Instant.class)
                .setParameter("name", key.name())
                .setParameter("address", key.address())
                .setParameter("now", now)
                .setParameter("full", now.plus(LONGEST_WAIT))
                .setParameter("forgotten", now.minus(FORGOTTEN))
                .setParameter("free", FREE)
                .setParameter("longest", (double) LONGEST_STEP.toSeconds())
                .getSingleResult());
        Duration wait = turn == null ? Duration.ZERO : Duration.between(now, turn);
        return wait.isNegative() ? Duration.ZERO : wait;
    }

    private void forget(String name, String address) {
        transaction.executeWithoutResult(
                t -> entities.createQuery("delete from SignInTry where key.name = :name and key.address = :address")
                        .setParameter("name", name)
                        .setParameter("address", address)
                        .executeUpdate());
    }

    /** Names that have to wait now, for the administrator of their school. */
    record SlowedDown(UUID person, String username, String name, int fails, Instant until) {}

    List<SlowedDown> slowedDown(Me me) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        return entities.createQuery(
                        "select p.id, p.username, p.name, t.fails, t.until from SignInTry t"
                                + " join Person p on lower(p.username) = t.key.name"
                                + " where p.school = :school and t.until > :now order by t.until desc",
                        SlowedDown.class)
                .setParameter("school", me.school())
                .setParameter("now", clock.instant())
                .setMaxResults(200)
                .getResultList();
    }

    /** Lets somebody of the school try again at once. */
    void release(Me me, UUID person) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        String name = people.usernameOf(me, person);
        Watched.note(Watched.What.RELEASED, me.id(), person);
        transaction.executeWithoutResult(t -> entities.createQuery("delete from SignInTry where key.name = :name")
                .setParameter("name", name.toLowerCase(Locale.ROOT))
                .executeUpdate());
    }
}
