package org.scholion.core.standard;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Faulty;

/** A tree of standards with a version. Codes are unique in it, no standard stands above itself, and none lies too deep. */
public record Framework(String id, String title, String version, List<Standard> standards) {
    /** So many levels and no more: a tree that people made has five or six. */
    public static final int MOST_LEVELS = 20;

    /** A statement of what is to be learned. */
    public record Standard(String code, @Nullable String parent, String text) {
        public Standard {
            Faulty.unless(!code.isBlank(), "code", "a standard needs a code");
        }
    }

    public Framework {
        standards = List.copyOf(standards);
        Map<String, Standard> byCode = new HashMap<>();
        for (int i = 0; i < standards.size(); i++) {
            Standard s = standards.get(i);
            Faulty.unless(
                    byCode.putIfAbsent(s.code(), s) == null,
                    "standards[" + i + "].code",
                    "code '" + s.code() + "' is there twice");
        }
        for (int i = 0; i < standards.size(); i++) {
            refuseRootless("standards[" + i + "].parent", standards.get(i), byCode);
        }
    }

    private static void refuseRootless(String place, Standard standard, Map<String, Standard> byCode) {
        int levels = 1;
        for (Standard at = standard; at != null && at.parent() != null; at = byCode.get(at.parent())) {
            Faulty.unless(byCode.containsKey(at.parent()), place, "no standard has the code '" + at.parent() + "'");
            Faulty.unless(!at.parent().equals(standard.code()), place, "'" + standard.code() + "' stands above itself");
            levels++;
            Faulty.unless(
                    levels <= MOST_LEVELS,
                    place,
                    "'" + standard.code() + "' lies more than " + MOST_LEVELS + " levels deep");
        }
    }

    /** The code with those above it, nearest first; none when there is no such code. */
    public List<String> withAbove(String code) {
        List<String> codes = new ArrayList<>();
        for (Optional<Standard> at = find(code); at.isPresent(); at = above(at.get())) {
            codes.add(at.get().code());
        }
        return codes;
    }

    private Optional<Standard> above(Standard standard) {
        return standard.parent() == null ? Optional.empty() : find(standard.parent());
    }

    public Optional<Standard> find(String code) {
        return standards.stream().filter(s -> s.code().equals(code)).findFirst();
    }
}
