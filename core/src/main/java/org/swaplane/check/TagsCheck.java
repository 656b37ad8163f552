package org.swaplane.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.content.TagOrder;
import org.swaplane.format.NativeCode;
import org.swaplane.placeholder.PrintfArguments;
import org.swaplane.wording.Phrase;

/** Tags that the target lost, doubled or gained, and pairs that close before they open or cross each other. */
final class TagsCheck implements Check {
    /** XLIFF 1.2, section 2.3 (clone), and XLIFF 2.1, section 4.3.1 (canCopy), where the file says so itself. */
    private static final Pattern REPEATABLE = Pattern.compile("^<[^>]*\\s(?:clone|canCopy)\\s*=\\s*[\"']yes[\"']");

    @Override
    public String id() {
        return "tags";
    }

    @Override
    public List<Finding> check(CheckedSegment segment) {
        if (segment.target().isEmpty()) {
            return List.of();
        }
        List<Tag> missing = without(segment.source().tags(), segment.target().tags());
        List<Tag> added = without(segment.target().tags(), segment.source().tags()).stream()
                .filter(tag -> !isRepeatable(tag, segment.source()))
                .toList();
        List<Finding> findings = new ArrayList<>();
        if (!missing.isEmpty()) {
            findings.add(finding(
                    segment,
                    "check.tags.missing",
                    missing,
                    TagFixes.withMissing(segment.source(), segment.target(), missing, added)));
        }
        if (!added.isEmpty()) {
            Optional<Content> fix =
                    missing.isEmpty() ? Optional.of(TagFixes.withoutAdded(segment.target(), added)) : Optional.empty();
            findings.add(finding(segment, "check.tags.added", added, fix));
        }
        if (findings.isEmpty() && !TagOrder.isNested(segment.target()) && TagOrder.isNested(segment.source())) {
            findings.add(finding(
                    segment, "check.tags.nesting", List.of(), TagFixes.nested(segment.source(), segment.target())));
        }
        if (findings.isEmpty() && !TagOrder.keepsFixedOrder(segment.target(), segment.source())) {
            Content ordered = TagFixes.ordered(segment.source(), segment.target());
            findings.add(finding(segment, "check.tags.order", List.of(), Optional.of(ordered)));
        }
        if (findings.isEmpty()) {
            codeChanged(segment).ifPresent(findings::add);
        }
        if (findings.isEmpty()) {
            HollowPairs.find(segment).ifPresent(findings::add);
        }
        if (findings.isEmpty()) {
            TagSpaces.find(segment).ifPresent(findings::add);
        }
        return findings;
    }

    /** Whether the file says of a tag of the source that it may stand in the target as often as one likes. */
    private static boolean isRepeatable(Tag tag, Content source) {
        return source.tags().stream()
                .anyMatch(each -> each.id().equals(tag.id())
                        && REPEATABLE.matcher(each.code()).find());
    }

    /** A tag that has the id of one of the source and stands for something else: another code, another half of a pair. */
    private Optional<Finding> codeChanged(CheckedSegment segment) {
        List<Tag> left = new ArrayList<>(segment.source().tags());
        List<Tag> changed = new ArrayList<>();
        for (Tag tag : segment.target().tags()) {
            Optional<Tag> own = left.stream()
                    .filter(each -> each.kind() == tag.kind() && each.id().equals(tag.id()))
                    .findFirst();
            own.ifPresent(left::remove);
            own.filter(each -> NativeCode.differs(each, tag)).ifPresent(changed::add);
        }
        if (changed.isEmpty()) {
            return Optional.empty();
        }
        Content fixed = TagFixes.withCodesOf(segment.source(), segment.target());
        return Optional.of(finding(segment, "check.tags.code", changed, Optional.of(fixed)));
    }

    private Finding finding(CheckedSegment segment, String key, List<Tag> tags, Optional<Content> fix) {
        String names = tags.stream()
                .map(tag ->
                        TagNotation.write(Content.of(tag), key.endsWith("added") ? Content.EMPTY : segment.source()))
                .collect(Collectors.joining(" "));
        return Finding.in(segment, id(), Severity.ERROR, Phrase.of(key, tags.size(), names), List.of(), List.of(), fix);
    }

    /** The tags of {@code tags} that {@code others} has no counterpart for, each counterpart used once. */
    private static List<Tag> without(List<Tag> tags, List<Tag> others) {
        if (tags.isEmpty()) {
            return List.of();
        }
        List<String> left = new ArrayList<>(identities(others));
        List<String> identities = identities(tags);
        List<Tag> result = new ArrayList<>();
        for (int i = 0; i < tags.size(); i++) {
            if (!left.remove(identities.get(i))) {
                result.add(tags.get(i));
            }
        }
        return result;
    }

    /** What makes each of them the same tag in both texts; a placeholder may say which argument it takes. */
    private static List<String> identities(List<Tag> tags) {
        List<String> numbered = PrintfArguments.numbered(tags.stream()
                .map(tag -> tag.id().startsWith(Tag.PLACEHOLDER) ? tag.code() : "")
                .toList());
        List<String> identities = new ArrayList<>();
        for (int i = 0; i < tags.size(); i++) {
            Tag tag = tags.get(i);
            identities.add(tag.kind() + (numbered.get(i).isEmpty() ? tag.id() : numbered.get(i)));
        }
        return identities;
    }
}
