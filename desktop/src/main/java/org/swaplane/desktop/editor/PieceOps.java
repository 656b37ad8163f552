package org.swaplane.desktop.editor;

import java.util.Optional;
import org.fxmisc.richtext.model.NodeSegmentOpsBase;

/** How the editor counts pieces: one character each, none for 'no piece'. */
final class PieceOps extends NodeSegmentOpsBase<Optional<Piece>, String> {
    PieceOps() {
        super(Optional.empty());
    }

    @Override
    public int length(Optional<Piece> piece) {
        return piece.isPresent() ? 1 : 0;
    }
}
