package org.scholion.server.platform;

import java.util.List;

/** Which pages of a school's own may show a sitting within them. */
public interface Framing {
    /** Their addresses, as {@code https://www.school.example}; none by itself. */
    List<String> framedBy();
}
