package org.scholion.server.mail;

import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import jakarta.mail.MessagingException;
import jakarta.persistence.EntityManager;
import java.io.UnsupportedEncodingException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Sends letters, each by itself: what the server does not take is tried again, less and less often, for a day. */
@Component
class Postman {
    private static final Logger LOG = LoggerFactory.getLogger(Postman.class);
    private static final Duration FIRST_WAIT = Duration.ofSeconds(20);
    private static final int MOST_TRIES = 12;
    private static final int LONGEST_WHY = 300;

    private final EntityManager entities;
    private final MailDoor door;
    private final List<LetterWriter> writers;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Postman(
            EntityManager entities,
            MailDoor door,
            List<LetterWriter> writers,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.entities = entities;
        this.door = door;
        this.writers = writers;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /** The server did not take it now. */
    static final class NotTaken extends RuntimeException {
        private static final long serialVersionUID = 1;

        NotTaken(Exception cause) {
            super(cause);
        }
    }

    void send(MailRow.Key key) {
        Optional<LetterWriter.Letter> letter = transaction.execute(t -> letter(key));
        if (letter == null || letter.isEmpty()) {
            return;
        }
        try {
            door.send(letter.get());
        } catch (MessagingException | UnsupportedEncodingException | RuntimeException e) {
            // Whatever goes wrong on the way out, whoever asked for the letter is told.
            boolean last = Boolean.TRUE.equals(transaction.execute(t -> failed(key, e)));
            LOG.warn("A letter was not taken: {}", e.getMessage());
            if (!last) {
                throw new NotTaken(e);
            }
            return;
        }
        transaction.executeWithoutResult(t -> becomes(key, Post.State.SENT, ""));
    }

    private Optional<LetterWriter.Letter> letter(MailRow.Key key) {
        MailRow row = entities.find(MailRow.class, key);
        if (row == null || row.state != Post.State.WAITING) {
            return Optional.empty();
        }
        Optional<LetterWriter.Letter> letter = writers.stream()
                .filter(w -> w.kind().equals(row.kind))
                .findFirst()
                .flatMap(w -> w.write(row.person, row.madeBy));
        if (letter.isEmpty()) {
            becomes(key, Post.State.DROPPED, "");
        }
        return letter;
    }

    private void becomes(MailRow.Key key, Post.State state, String why) {
        MailRow row = entities.find(MailRow.class, key);
        if (row != null) {
            row.state = state;
            row.changedAt = clock.instant();
            row.why = why;
            row.tries++;
        }
    }

    /** Whether that was the last try. */
    private boolean failed(MailRow.Key key, Exception e) {
        MailRow row = entities.find(MailRow.class, key);
        boolean last = row == null || row.tries + 1 >= MOST_TRIES || isForGood(e);
        becomes(key, last ? Post.State.FAILED : Post.State.WAITING, why(e));
        return last;
    }

    /** A server's answer that begins with 5 is its last word, such as for an address that nobody has. */
    private static boolean isForGood(Exception e) {
        return why(e).matches("(?s).*\\b5\\d\\d[ -].*");
    }

    private static String why(@Nullable Throwable e) {
        Throwable at = e;
        while (at != null && at.getCause() != null && at.getCause() != at) {
            at = at.getCause();
        }
        String said = at == null || at.getMessage() == null
                ? "no answer"
                : at.getMessage().strip();
        String plain = said.replaceAll("\\s+", " ");
        return plain.length() <= LONGEST_WHY
                ? plain
                : String.format(Locale.ROOT, "%s…", plain.substring(0, LONGEST_WHY - 1));
    }

    /** On any node. */
    @Configuration
    static class Doing {
        @Bean
        OneTimeTask<Void> sendMail(ObjectProvider<Postman> postman) {
            return Tasks.oneTime(Post.TASK)
                    .onFailure(new FailureHandler.ExponentialBackoffFailureHandler<>(FIRST_WAIT, 2))
                    .execute((instance, context) -> {
                        String[] ids = instance.getId().split(" ");
                        postman.getObject().send(new MailRow.Key(UUID.fromString(ids[0]), UUID.fromString(ids[1])));
                    });
        }
    }
}
