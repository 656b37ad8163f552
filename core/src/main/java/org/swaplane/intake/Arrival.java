package org.swaplane.intake;

import java.util.List;
import java.util.Optional;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Counts;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Source;
import org.swaplane.lane.ReturnImport;
import org.swaplane.lane.Track;

/**
 * One file that arrived.
 *
 * @param options how it was read
 * @param file as it was read, for a role that can be taken in
 * @param repetitions segments whose source occurred before in what arrived
 * @param readSo whether {@code file} was read by {@code options}
 * @param returned what came back, for a returned copy
 * @param folder where it lay in the folder or zip that arrived, with {@code /} between the parts; empty at the top
 * @param version what it is a new version of
 * @param same tracks whose file has the very same bytes
 * @param problem why it cannot be read; empty when it can
 */
public record Arrival(
        Source source,
        Role role,
        FileOptions options,
        Optional<BilingualFile> file,
        Optional<Counts> counts,
        int repetitions,
        boolean readSo,
        Optional<ReturnImport.Recognised> returned,
        String problem,
        String folder,
        Optional<NewVersion> version,
        List<Track> same) {

    /** What a file is for. */
    public enum Role {
        DOCUMENT,
        BILINGUAL,
        /** A memory, which is looked things up in. */
        MEMORY,
        RETURNED,
        /** A new version of a file that is in the lane. */
        VERSION,
        /** Terms and their translations (TBX, or a table that says so). */
        TERMS,
        PICTURE,
        REFERENCE,
        UNREADABLE;

        /** Whether it becomes a track of the lane. */
        public boolean isTrack() {
            return this == DOCUMENT || this == BILINGUAL;
        }
    }

    /** A file that is kept, or not, without being read. */
    static Arrival unread(Source source, Role role, FileOptions options, String problem) {
        return new Arrival(
                source,
                role,
                options,
                Optional.empty(),
                Optional.empty(),
                0,
                false,
                Optional.empty(),
                problem,
                "",
                Optional.empty(),
                List.of());
    }

    Arrival in(String where) {
        return new Arrival(
                source, role, options, file, counts, repetitions, readSo, returned, problem, where, version, same);
    }

    /** The same, to be taken in so. */
    public Arrival with(FileOptions other) {
        boolean asRead = readSo && other.equals(options);
        return new Arrival(
                source, role, other, file, counts, repetitions, asRead, returned, problem, folder, version, same);
    }

    /** The same as a new version of what is in the lane. */
    Arrival as(NewVersion other) {
        return new Arrival(
                source,
                Role.VERSION,
                options,
                file,
                counts,
                repetitions,
                readSo,
                returned,
                problem,
                folder,
                Optional.of(other),
                same);
    }

    /** The same bytes as those of tracks of the lane. */
    Arrival sameAs(List<Track> tracks) {
        return new Arrival(
                source, role, options, file, counts, repetitions, readSo, returned, problem, folder, version, tracks);
    }

    /** A file of its own, whatever it resembles. */
    public Arrival asOwnFile() {
        Role own = file.filter(DocumentFile.class::isInstance).isPresent() ? Role.DOCUMENT : Role.BILINGUAL;
        return new Arrival(
                source,
                own,
                options,
                file,
                counts,
                repetitions,
                readSo,
                returned,
                problem,
                folder,
                Optional.empty(),
                same);
    }

    /** Only kept, as terms or for reference, whatever it could be. */
    public Arrival keptAs(Role other) {
        return unread(source, other, options, "").in(folder);
    }

    /** The document of a file that was read. */
    public BilingualDocument document() {
        return file.orElseThrow().document();
    }
}
