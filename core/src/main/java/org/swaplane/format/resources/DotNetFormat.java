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

/** .NET resources (RESX): the values of {@code data} that are strings. */
public final class DotNetFormat implements BilingualFormat {
    private static final Pattern ROOT = Pattern.compile("<root[\\s>]");

    @Override
    public String id() {
        return "dotnet-resources";
    }

    @Override
    public Map<String, FormatTraits> traits() {
        return Map.of(id(), FormatTraits.of(FormatTraits.Markup.XML).withPlaceholders());
    }

    @Override
    public boolean recognises(Head head) {
        return head.extension().equals("resx") && ROOT.matcher(head.text()).find();
    }

    @Override
    public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
        return new ResourceReader(ResourceKind.DOT_NET, EncodedText.of(source), options, progress).read(id());
    }
}
