package org.swaplane.lane;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.swaplane.check.Finding;

/** What people decided about findings of one track: in it, in earlier versions of its file, or wherever the lane has such texts. Immutable. */
public final class Decisions {
    private final List<SetAside> all;
    private final Map<String, SetAside> byIdentity;

    Decisions(List<SetAside> all) {
        this.all = List.copyOf(all);
        this.byIdentity =
                all.stream().collect(Collectors.toMap(SetAside::identity, Function.identity(), (one, other) -> one));
    }

    /** Every decision, oldest first. */
    public List<SetAside> all() {
        return all;
    }

    /** What was decided about a finding; empty where it is open. */
    public Optional<SetAside> of(Finding finding) {
        if (byIdentity.isEmpty()) {
            return Optional.empty();
        }
        for (SetAside.Scope scope : SetAside.Scope.values()) {
            SetAside decision = byIdentity.get(scope.identity(finding));
            if (decision != null) {
                return Optional.of(decision);
            }
        }
        // Lanes of the first version knew one scope.
        return Optional.ofNullable(byIdentity.get(finding.identity()));
    }

    /** The findings that nobody set aside. */
    public List<Finding> open(List<Finding> findings) {
        return findings.stream().filter(finding -> of(finding).isEmpty()).toList();
    }
}
