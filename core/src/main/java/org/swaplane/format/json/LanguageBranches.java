package org.swaplane.format.json;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.swaplane.document.LanguageCode;
import org.swaplane.format.json.JsonTree.JsonArray;
import org.swaplane.format.json.JsonTree.JsonObject;
import org.swaplane.format.json.JsonTree.JsonString;

/**
 * Strings of a file that holds several languages side by side: wherever all names in an object are language codes and one of them is the
 * source's, the texts below that one have their counterparts below the name of the target language.
 *
 * @param pairs in the order of the file
 * @param additions where something can be put in for want of a counterpart, by the source that it is put in for
 */
record LanguageBranches(List<Pair> pairs, Map<JsonTree, Addition> additions) {
    /** A source and what stands in its place in the target language, if anything does. */
    record Pair(String path, JsonString source, Optional<JsonString> target) {}

    /**
     * Where a counterpart is put in.
     *
     * @param into the object or array of the target language, which has no such member yet
     * @param name of the member, empty in an array
     * @param nameStart where the name of the source's member begins
     */
    record Addition(JsonTree into, String name, int nameStart) {}

    static LanguageBranches of(JsonTree root, String source, String target) {
        LanguageBranches branches = new LanguageBranches(new ArrayList<>(), new HashMap<>());
        if (!source.isEmpty() && !target.isEmpty()) {
            branches.search(root, "", source, target);
        }
        return branches;
    }

    private void search(JsonTree tree, String path, String source, String target) {
        if (tree instanceof JsonObject object) {
            Optional<String> own = name(object, source);
            if (own.isPresent() && object.members().keySet().stream().allMatch(LanguageBranches::isLanguage)) {
                String other = name(object, target).orElseGet(() -> inTheMannerOf(own.get(), target));
                pair(object, other, own.get(), path + '/' + own.get());
                return;
            }
            object.members().forEach((name, member) -> search(member, path + '/' + name, source, target));
        } else if (tree instanceof JsonArray array) {
            for (int i = 0; i < array.items().size(); i++) {
                search(array.items().get(i), path + '/' + i, source, target);
            }
        }
    }

    private void pair(JsonObject parent, String targetName, String sourceName, String path) {
        JsonTree source = parent.members().get(sourceName);
        JsonTree target = parent.members().get(targetName);
        if (target == null) {
            additions.put(
                    source, new Addition(parent, targetName, parent.names().get(sourceName)));
        }
        pair(source, target, path);
    }

    private void pair(JsonTree source, JsonTree target, String path) {
        if (source instanceof JsonString text) {
            pairs.add(new Pair(path, text, target instanceof JsonString there ? Optional.of(there) : Optional.empty()));
        } else if (source instanceof JsonObject object) {
            JsonObject there = target instanceof JsonObject same ? same : null;
            object.members().forEach((name, member) -> {
                JsonTree counterpart = there == null ? null : there.members().get(name);
                if (there != null && counterpart == null) {
                    additions.put(
                            member, new Addition(there, name, object.names().get(name)));
                }
                pair(member, counterpart, path + '/' + name);
            });
        } else if (source instanceof JsonArray array) {
            JsonArray there = target instanceof JsonArray same ? same : null;
            for (int i = 0; i < array.items().size(); i++) {
                boolean has = there != null && i < there.items().size();
                if (there != null && !has) {
                    additions.put(array.items().get(i), new Addition(there, "", 0));
                }
                pair(array.items().get(i), has ? there.items().get(i) : null, path + '/' + i);
            }
        }
    }

    private static boolean isLanguage(String name) {
        String code = name.replace('_', '-');
        return code.matches("[A-Za-z]{2,3}(-[A-Za-z0-9]{2,8})*")
                && LanguageCode.fault(code).isEmpty();
    }

    /** The member for a language: by its whole code, else by the language alone. */
    private static Optional<String> name(JsonObject object, String language) {
        String code = language.toLowerCase(Locale.ROOT);
        String alone = code.replaceFirst("-.*", "");
        Optional<String> whole = object.members().keySet().stream()
                .filter(name -> folded(name).equals(code))
                .findFirst();
        return whole.or(() -> object.members().keySet().stream()
                .filter(name -> folded(name).equals(alone))
                .findFirst());
    }

    private static String folded(String name) {
        return name.replace('_', '-').toLowerCase(Locale.ROOT);
    }

    private static String inTheMannerOf(String name, String language) {
        if (name.indexOf('_') > 0) {
            return language.replace('-', '_');
        }
        return name.indexOf('-') > 0 ? language : language.replaceFirst("-.*", "");
    }
}
