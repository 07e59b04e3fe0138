package org.scholion.formats.assessment;

import java.util.ArrayList;
import java.util.List;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Fact;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Reasons as they are stored and sent: a word is a string, words are a list, an amount is {"amount": "1/2"}, several are {"amounts": […]}. */
public final class ReasonJson {
    private ReasonJson() {}

    public static JsonNode write(Reason reason) {
        ObjectNode node =
                JsonNodeFactory.instance.objectNode().put("code", reason.code().name());
        ObjectNode facts = node.putObject("facts");
        reason.facts().forEach((name, fact) -> {
            if (fact instanceof Fact.Word word) {
                facts.put(name, word.text());
            } else if (fact instanceof Fact.Wordlist list) {
                ArrayNode array = facts.putArray(name);
                list.texts().forEach(array::add);
            } else if (fact instanceof Fact.Amounts amounts) {
                ArrayNode array = facts.putObject(name).putArray("amounts");
                amounts.values().forEach(v -> array.add(v.toExact()));
            } else if (fact instanceof Fact.Amount amount) {
                facts.putObject(name).put("amount", amount.value().toExact());
            }
        });
        return node;
    }

    public static Reason read(JsonNode node) {
        Reason reason = Reason.of(Reason.Code.valueOf(node.get("code").stringValue()));
        JsonNode facts = node.get("facts");
        for (String name : facts.propertyNames()) {
            JsonNode fact = facts.get(name);
            if (fact.isString()) {
                reason = reason.with(name, fact.stringValue());
            } else if (fact.isArray()) {
                List<String> texts = new ArrayList<>();
                fact.forEach(t -> texts.add(t.stringValue()));
                reason = reason.with(name, texts);
            } else if (fact.has("amounts")) {
                List<Fraction> values = new ArrayList<>();
                fact.get("amounts").forEach(v -> values.add(Fraction.exactly(v.stringValue())));
                reason = reason.withAmounts(name, values);
            } else {
                reason = reason.with(name, Fraction.exactly(fact.get("amount").stringValue()));
            }
        }
        return reason;
    }
}
