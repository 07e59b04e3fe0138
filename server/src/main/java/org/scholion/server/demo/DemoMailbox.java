package org.scholion.server.demo;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.scholion.server.mail.SimulatedServer;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/** The mail server of the made-up school: a real one on loopback that keeps every letter and delivers none. */
@Component
@ConditionalOnProperty(name = "scholion.demo", havingValue = "true")
class DemoMailbox implements SimulatedServer, SmartLifecycle {
    private static final int MOST = 500;

    private final GreenMail server;

    DemoMailbox() {
        ServerSetup smtp = new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP);
        smtp.setServerStartupTimeout(20_000);
        server = new GreenMail(smtp);
    }

    /** A letter as it came in. */
    record MailSeen(String to, String from, String subject, String text, Instant at) {}

    @Override
    public int port() {
        if (!server.isRunning()) {
            throw new IllegalStateException("the simulated mail server does not run");
        }
        return server.getSmtp().getPort();
    }

    /** The letters, the latest first. */
    List<MailSeen> letters() {
        List<MailSeen> letters = new ArrayList<>();
        for (MimeMessage message : server.getReceivedMessages()) {
            try {
                letters.add(new MailSeen(
                        String.valueOf(message.getAllRecipients()[0]),
                        sender(message),
                        String.valueOf(message.getSubject()),
                        String.valueOf(message.getContent()),
                        message.getReceivedDate().toInstant()));
            } catch (MessagingException | IOException e) {
                throw new IllegalStateException(e);
            }
        }
        letters.sort(Comparator.comparing(MailSeen::at).reversed());
        return letters.subList(0, Math.min(MOST, letters.size()));
    }

    private static String sender(MimeMessage message) throws MessagingException {
        return jakarta.mail.internet.MimeUtility.unfold(String.valueOf(message.getFrom()[0]));
    }

    @Override
    public void start() {
        server.start();
    }

    @Override
    public void stop() {
        server.stop();
    }

    @Override
    public boolean isRunning() {
        return server.isRunning();
    }
}
