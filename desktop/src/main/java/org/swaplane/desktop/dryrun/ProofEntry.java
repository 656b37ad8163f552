package org.swaplane.desktop.dryrun;

import java.util.Optional;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.ProofStore;
import org.swaplane.proof.Proof;

/** A line of the list on the left: a proof, or something else about the dry run. */
record ProofEntry(String words, Optional<Proof> proof, ProofStore.Remembered dryRun) {
    static final ProofEntry PREVIEW = new ProofEntry(Strings.say("dry-run.preview"), Optional.empty(), null);
    static final ProofEntry SETTINGS = new ProofEntry(Strings.say("pseudo.title"), Optional.empty(), null);

    boolean needsLook() {
        return proof.filter(each -> dryRun.verdict(each) != Proof.Verdict.PASS).isPresent();
    }

    static ProofEntry of(Proof proof, ProofStore.Remembered dryRun) {
        return new ProofEntry(Strings.say("proof." + proof.id()), Optional.of(proof), dryRun);
    }
}
