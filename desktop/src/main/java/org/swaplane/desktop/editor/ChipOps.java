package org.swaplane.desktop.editor;

import java.util.Optional;
import org.fxmisc.richtext.model.NodeSegmentOpsBase;

/** How the editor counts chips: one character each, none for the place holder of 'no chip'. */
final class ChipOps extends NodeSegmentOpsBase<Optional<Chip>, String> {
    ChipOps() {
        super(Optional.empty());
    }

    @Override
    public int length(Optional<Chip> chip) {
        return chip.isPresent() ? 1 : 0;
    }
}
