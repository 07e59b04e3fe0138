package org.scholion.server.key;

import java.util.ArrayList;
import java.util.List;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.number.Fraction;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.assessment.AssessmentReader;
import org.scholion.formats.assessment.Particulars;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;
import tools.jackson.databind.JsonNode;

/**
 * What is wrong with a draft.
 *
 * @param faults what has to be put right before it can be given out
 * @param broken the items of which an example no longer gets what it is to get; looked at once there is no fault
 */
record DraftCheck(List<Fault> faults, List<String> broken) {

    static DraftCheck of(JsonNode whole) {
        List<Fault> faults = new ArrayList<>(weights(whole));
        try {
            AssessmentFile file = AssessmentReader.read(whole);
            faults.addAll(outOfReach(file));
            return new DraftCheck(faults, broken(file));
        } catch (Faults e) {
            faults.addAll(e.all());
            return new DraftCheck(faults, List.of());
        }
    }

    /** The rules can weigh any numbers; whoever reads a paper expects a hundred. */
    private static List<Fault> weights(JsonNode whole) {
        String sum = PaperSums.weights(whole);
        return sum == null || Fraction.exactly(sum).equals(Fraction.HUNDRED)
                ? List.of()
                : List.of(new Fault(
                        "parts",
                        "the weights of the parts sum to " + sum + ", not to 100; spread them evenly or scale them"));
    }

    /** A bound of mastery that no answer can reach. */
    private static List<Fault> outOfReach(AssessmentFile file) {
        List<Fault> faults = new ArrayList<>();
        List<Item> items = file.assessment().items();
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i) instanceof OpenItem open && open.mastery() != null && !open.masteryIsLevel()) {
                Fraction bound = Fraction.exactly(open.mastery());
                if (bound.compareTo(open.points()) > 0) {
                    faults.add(new Fault(
                            "items[" + i + "].mastery",
                            "mastered from " + bound + " is more than the " + open.points()
                                    + " points that there are"));
                }
            }
        }
        return faults;
    }

    private static List<String> broken(AssessmentFile file) {
        List<String> broken = new ArrayList<>();
        for (Item item : file.assessment().scorable()) {
            Particulars particulars = file.particulars(item.id());
            if (ItemCheck.examples(item, particulars).stream().anyMatch(t -> Boolean.FALSE.equals(t.holds()))) {
                broken.add(item.id());
            }
        }
        return broken;
    }
}
