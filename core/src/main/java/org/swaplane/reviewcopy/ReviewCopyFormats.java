package org.swaplane.reviewcopy;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.stream.Stream;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;

/** The forms of review copies that are installed. */
public final class ReviewCopyFormats {
    private final List<ReviewCopyFormat> formats;
    private final List<ReturnedFormat> returned;

    /** Those that copies are written in, and others that they come back in. */
    public ReviewCopyFormats(List<ReviewCopyFormat> formats, List<ReturnedFormat> others) {
        this.formats = List.copyOf(formats);
        this.returned = Stream.concat(formats.stream(), others.stream()).toList();
    }

    /** Every form that is on the class path. */
    public static ReviewCopyFormats ofInstalled() {
        return new ReviewCopyFormats(loaded(ReviewCopyFormat.class), loaded(ReturnedFormat.class));
    }

    private static <T> List<T> loaded(Class<T> kind) {
        return ServiceLoader.load(kind).stream()
                .map(ServiceLoader.Provider::get)
                .toList();
    }

    /** All of them; the first is offered first. */
    public List<ReviewCopyFormat> all() {
        return formats;
    }

    /** The form with this extension; empty where none has it. */
    public Optional<ReviewCopyFormat> byExtension(String extension) {
        return formats.stream()
                .filter(format -> format.extension().equals(extension))
                .findFirst();
    }

    /** Whether a file may be a copy at all, without reading it. */
    public boolean mayBeCopy(Source source) throws IOException {
        for (ReturnedFormat format : returned) {
            if (format.recognises(source)) {
                return true;
            }
        }
        return false;
    }

    /** The copy that a file is, however it has been changed since; empty where it is none of ours. */
    public Optional<ReturnedCopy> find(Source source) throws IOException {
        for (ReturnedFormat format : returned) {
            if (format.recognises(source)) {
                try {
                    return Optional.of(format.read(source));
                } catch (CannotProceedException e) {
                    // Another form may know it.
                    continue;
                }
            }
        }
        return Optional.empty();
    }

    /**
     * The same of a file that must be one.
     *
     * @throws CannotProceedException when it is none, with the reason of the form that came nearest
     */
    public ReturnedCopy read(Source source) throws IOException {
        CannotProceedException reason = null;
        for (ReturnedFormat format : returned) {
            if (format.recognises(source)) {
                try {
                    return format.read(source);
                } catch (CannotProceedException e) {
                    reason = e;
                }
            }
        }
        throw reason != null ? reason : new CannotProceedException(source.name(), "problem.no-review-copy");
    }
}
