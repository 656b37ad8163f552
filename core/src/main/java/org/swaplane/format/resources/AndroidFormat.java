package org.swaplane.format.resources;

import java.io.IOException;
import java.util.Map;
import java.util.regex.Pattern;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** Android string resources: {@code string}, and the {@code item}s of {@code string-array} and {@code plurals}. */
public final class AndroidFormat implements BilingualFormat {
    private static final Pattern ROOT = Pattern.compile("<resources[\\s>]");
    private static final Pattern STRINGS = Pattern.compile("<(?:string|string-array|plurals)[\\s>]");

    @Override
    public String id() {
        return "android-strings";
    }

    @Override
    public Map<String, FormatTraits> traits() {
        return Map.of(id(), FormatTraits.of(FormatTraits.Markup.XML).withPlaceholders());
    }

    @Override
    public boolean recognises(Head head) {
        return head.extension().equals("xml")
                && ROOT.matcher(head.text()).find()
                && STRINGS.matcher(head.text()).find();
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        return new ResourceReader(ResourceKind.ANDROID, EncodedText.of(source), options, progress).read(id());
    }
}
