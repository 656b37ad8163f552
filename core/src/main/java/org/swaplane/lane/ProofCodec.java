package org.swaplane.lane;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import org.swaplane.proof.Proof;
import org.swaplane.wording.Phrase;

/** Proofs as JSON in the lane's database: sentences by key and arguments. Lanes of earlier versions hold displayed sentences, which are read as such. */
final class ProofCodec {
    private static final ObjectMapper JSON = new ObjectMapper();

    private ProofCodec() {}

    static String write(List<Proof> proofs) {
        ArrayNode array = JSON.createArrayNode();
        for (Proof proof : proofs) {
            ObjectNode node = array.addObject();
            node.put("id", proof.id());
            node.put("verdict", proof.verdict().name());
            put(node, proof.statement());
            ArrayNode details = node.putArray("details");
            for (Proof.Detail detail : proof.details()) {
                ObjectNode each = details.addObject();
                each.put("where", detail.where());
                each.put("segment", detail.segment());
                put(each, detail.phrase());
            }
        }
        return array.toString();
    }

    static List<Proof> read(String json) {
        try {
            List<Proof> proofs = new ArrayList<>();
            for (JsonNode node : JSON.readTree(json)) {
                List<Proof.Detail> details = new ArrayList<>();
                node.path("details").forEach(each -> details.add(detail(each)));
                proofs.add(new Proof(
                        node.path("id").asText(),
                        Proof.Verdict.valueOf(node.path("verdict").asText()),
                        phrase(node, "message"),
                        details));
            }
            return proofs;
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("the lane holds a damaged dry run: " + json, e);
        }
    }

    private static Proof.Detail detail(JsonNode node) {
        return node.isTextual()
                ? new Proof.Detail("", node.asText())
                : new Proof.Detail(
                        node.path("where").asText(),
                        phrase(node, "text"),
                        node.path("segment").asInt(Proof.Detail.NO_SEGMENT));
    }

    private static void put(ObjectNode node, Phrase phrase) {
        node.put("key", phrase.key());
        node.put("arguments", phrase.writtenArguments());
    }

    /** {@code sentence} is where earlier versions kept what they displayed. */
    private static Phrase phrase(JsonNode node, String sentence) {
        return node.has("key")
                ? Phrase.ofWritten(
                        node.path("key").asText(), node.path("arguments").asText())
                : Phrase.verbatim(node.path(sentence).asText());
    }
}
