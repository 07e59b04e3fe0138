package org.scholion.server.person;

import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.scholion.server.platform.Refused;

/** A school's own addresses: for letters, and of pages that show a sitting. */
final class SchoolAddresses {
    private static final int MOST = 20;
    private static final Pattern DOMAIN = Pattern.compile("([a-z0-9]([a-z0-9-]*[a-z0-9])?\\.)+[a-z0-9-]{2,}");

    private SchoolAddresses() {}

    static String domains(List<String> typed) {
        List<String> domains = new ArrayList<>();
        for (String one : few("mailDomains", typed)) {
            String domain = one.strip().toLowerCase(Locale.ROOT).replaceFirst("^@", "");
            if (!DOMAIN.matcher(domain).matches()) {
                throw Refused.invalid(
                        "mailDomains", "“" + one + "” is not the end of an address. Type what follows the @.");
            }
            domains.add(domain);
        }
        return String.join(" ", domains);
    }

    static String pages(List<String> typed) {
        List<String> pages = new ArrayList<>();
        for (String one : few("framedBy", typed)) {
            pages.add(origin(one.strip()));
        }
        return String.join(" ", pages);
    }

    private static String origin(String typed) {
        try {
            URI uri = URI.create(typed);
            String host = uri.getHost();
            if (host != null && ("https".equals(uri.getScheme()) || "http".equals(uri.getScheme()))) {
                return uri.getScheme() + "://" + host.toLowerCase(Locale.ROOT)
                        + (uri.getPort() < 0 ? "" : ":" + uri.getPort());
            }
        } catch (IllegalArgumentException e) {
            // Told below, as whatever else is no address.
        }
        throw Refused.invalid(
                "framedBy", "“" + typed + "” is not the address of a page, such as https://www.school.example.");
    }

    private static List<String> few(String place, List<String> typed) {
        if (typed.size() > MOST) {
            throw Refused.invalid(place, "At most " + MOST + " can be listed.");
        }
        return typed.stream().filter(t -> !t.isBlank()).distinct().toList();
    }
}
