package org.swaplane.format;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;
import org.swaplane.document.Problem;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** The bilingual formats that can be read, told apart by content and never by name. */
public final class FormatRegistry {
    private final List<BilingualFormat> formats;

    public FormatRegistry(List<BilingualFormat> formats) {
        this.formats = List.copyOf(formats);
    }

    /** Every format that is on the class path. */
    public static FormatRegistry ofInstalled() {
        return new FormatRegistry(ServiceLoader.load(BilingualFormat.class).stream()
                .map(ServiceLoader.Provider::get)
                .toList());
    }

    /**
     * Opens a file of any known format.
     *
     * @throws CannotProceedException when it is empty, of no known format, or broken
     */
    public BilingualFile open(Source source, Progress progress) throws IOException {
        return open(source, FileOptions.NONE, progress);
    }

    /** The same with what the lane knows about the file. */
    public BilingualFile open(Source source, FileOptions options, Progress progress) throws IOException {
        return of(source, options.document().format()).read(source, options, progress);
    }

    /** Hands over every translation of a file of any known format; returns what is odd about it. */
    public List<Problem> stream(Source source, Progress progress, SegmentSink sink) throws IOException {
        return of(source, "").stream(source, progress, sink);
    }

    /** Whether a file is a memory, whose units stand for themselves. */
    public boolean isMemory(Source source) throws IOException {
        BilingualFormat format = of(source, "");
        return format.traits()
                .getOrDefault(format.id(), FormatTraits.of(FormatTraits.Markup.XML))
                .isMemory();
    }

    private BilingualFormat of(Source source, String wanted) throws IOException {
        Head head = Head.of(source);
        if (head.isEmpty()) {
            throw new CannotProceedException(source.name(), "problem.file-empty");
        }
        return formats.stream()
                .filter(format ->
                        wanted.isEmpty() ? format.recognises(head) : format.id().equals(wanted))
                .findFirst()
                .orElseThrow(() ->
                        new CannotProceedException(source.name(), "problem.format-unknown", String.join(", ", ids())));
    }

    /** Id of the format that a file is recognised as; empty where it is none of them. */
    public Optional<String> recognise(Source source) throws IOException {
        Head head = Head.of(source);
        return formats.stream()
                .filter(format -> !head.isEmpty() && format.recognises(head))
                .map(BilingualFormat::id)
                .findFirst();
    }

    /** Ids of all formats, in the order in which they are tried. */
    public List<String> ids() {
        return formats.stream().map(BilingualFormat::id).toList();
    }
}
