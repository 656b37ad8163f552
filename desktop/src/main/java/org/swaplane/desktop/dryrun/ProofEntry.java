package org.swaplane.desktop.dryrun;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.ProofStore;
import org.swaplane.proof.Proof;

/** A line of the list on the left: a proof, or something else about the dry run. */
record ProofEntry(String words, Optional<Proof> proof, ProofStore.Remembered dryRun) {
    static final ProofEntry PREVIEW = new ProofEntry(Strings.text("dry-run.preview"), Optional.empty(), null);
    static final ProofEntry SETTINGS = new ProofEntry(Strings.text("pseudo.title"), Optional.empty(), null);

    /** The proofs of a dry run that has not been made yet. */
    static List<ProofEntry> notRun(boolean document) {
        return Stream.of(
                        "identity",
                        "survival",
                        "second-reader",
                        document ? "only-targets" : "return",
                        "reach",
                        "pictures",
                        "growth",
                        "characters",
                        "structure")
                .map(id -> new ProofEntry(Strings.text("proof." + id), Optional.empty(), null))
                .toList();
    }

    boolean isNotRun() {
        return proof.isEmpty() && this != PREVIEW && this != SETTINGS;
    }

    boolean needsLook() {
        return proof.filter(each -> dryRun.verdict(each) != Proof.Verdict.PASS).isPresent();
    }

    static ProofEntry of(Proof proof, ProofStore.Remembered dryRun) {
        return new ProofEntry(Strings.text("proof." + proof.id()), Optional.of(proof), dryRun);
    }
}
