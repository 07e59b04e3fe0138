package org.scholion.server.mail;

import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.UnsupportedEncodingException;
import java.nio.charset.StandardCharsets;
import java.util.Properties;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.stereotype.Component;

/** The way out to the school's mail server, or to the simulated one where no other is set up. */
@Component
class MailDoor {
    private static final String WAIT = "10000";

    private final String host;
    private final int port;
    private final String user;
    private final String password;
    private final String from;
    private final ObjectProvider<SimulatedServer> simulated;

    MailDoor(
            @Value("${scholion.mail.host}") String host,
            @Value("${scholion.mail.port}") int port,
            @Value("${scholion.mail.user}") String user,
            @Value("${scholion.mail.password}") String password,
            @Value("${scholion.mail.from}") String from,
            ObjectProvider<SimulatedServer> simulated) {
        this.host = host;
        this.port = port;
        this.user = user;
        this.password = password;
        this.from = from;
        this.simulated = simulated;
    }

    boolean isThere() {
        return !host.isBlank() || simulated.getIfAvailable() != null;
    }

    /** @throws org.springframework.mail.MailException when the server does not take it */
    void send(LetterWriter.Letter letter) throws jakarta.mail.MessagingException, UnsupportedEncodingException {
        JavaMailSenderImpl sender = sender();
        MimeMessage message = sender.createMimeMessage();
        MimeMessageHelper helper = new MimeMessageHelper(message, false, StandardCharsets.UTF_8.name());
        helper.setFrom(new InternetAddress(from, letter.from(), StandardCharsets.UTF_8.name()));
        helper.setTo(letter.address());
        helper.setSubject(letter.subject());
        helper.setText(letter.text());
        // Nobody's holiday answers a machine.
        message.setHeader("Auto-Submitted", "auto-generated");
        sender.send(message);
    }

    private JavaMailSenderImpl sender() {
        JavaMailSenderImpl sender = new JavaMailSenderImpl();
        SimulatedServer own = host.isBlank() ? simulated.getObject() : null;
        sender.setHost(own == null ? host : "127.0.0.1");
        sender.setPort(own == null ? port : own.port());
        Properties mail = sender.getJavaMailProperties();
        mail.put("mail.smtp.connectiontimeout", WAIT);
        mail.put("mail.smtp.timeout", WAIT);
        mail.put("mail.smtp.writetimeout", WAIT);
        mail.put("mail.smtp.starttls.enable", "true");
        mail.put("mail.smtp.ssl.enable", String.valueOf(own == null && port == 465));
        mail.put("mail.smtp.ssl.checkserveridentity", "true");
        if (own == null && !user.isBlank()) {
            sender.setUsername(user);
            sender.setPassword(password);
            mail.put("mail.smtp.auth", "true");
            // A password goes over no open line.
            mail.put("mail.smtp.starttls.required", String.valueOf(port != 465));
        }
        return sender;
    }
}
