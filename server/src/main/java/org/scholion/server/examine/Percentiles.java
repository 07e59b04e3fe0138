package org.scholion.server.examine;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.measure.Standing;
import org.scholion.server.key.Edition;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where each attempt stands among all that are examined. */
@Service
public class Percentiles {
    private final ExaminedPapers examined;

    Percentiles(ExaminedPapers examined) {
        this.examined = examined;
    }

    /** By attempt; an attempt that does not stand for its student has none. */
    @Transactional(readOnly = true)
    public Map<UUID, Standing> of(Edition latest, @Nullable UUID section) {
        Examined paper = examined.read(latest, section);
        List<Standing> standings = Standing.of(new Codes(paper).all());
        Map<UUID, Standing> all = new HashMap<>();
        for (int i = 0; i < standings.size(); i++) {
            all.put(paper.rows().get(i).id(), standings.get(i));
        }
        return all;
    }
}
