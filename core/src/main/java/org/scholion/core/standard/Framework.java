package org.scholion.core.standard;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Faulty;

/** A tree of standards with a version. Codes are unique in it; a parent stands before its children. */
public record Framework(String id, String title, String version, List<Standard> standards) {

    /** A statement of what is to be learned. */
    public record Standard(String code, @Nullable String parent, String text) {
        public Standard {
            Faulty.unless(!code.isBlank(), "code", "a standard needs a code");
        }
    }

    public Framework {
        standards = List.copyOf(standards);
        Set<String> codes = new HashSet<>();
        for (int i = 0; i < standards.size(); i++) {
            Standard s = standards.get(i);
            Faulty.unless(
                    s.parent() == null || codes.contains(s.parent()),
                    "standards[" + i + "].parent",
                    "no standard before it has the code '" + s.parent() + "'");
            Faulty.unless(codes.add(s.code()), "standards[" + i + "].code", "code '" + s.code() + "' is there twice");
        }
    }

    public Optional<Standard> find(String code) {
        return standards.stream().filter(s -> s.code().equals(code)).findFirst();
    }
}
