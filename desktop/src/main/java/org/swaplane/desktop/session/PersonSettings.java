package org.swaplane.desktop.session;

import java.io.IOException;
import java.io.Reader;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.TreeMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.swaplane.format.FileOptions;
import org.swaplane.format.PrivateFile;
import org.swaplane.lane.Initials;
import org.swaplane.task.Durable;

/**
 * What holds for a person in all lanes: name, languages, looks, keys, the lanes that were opened. Kept in a file of its own, apart from the
 * settings of lanes; a lane that is there never changes by it. Read once; written behind the window's back.
 */
public final class PersonSettings {
    private static final Logger LOG = Logger.getLogger(PersonSettings.class.getName());
    private static final double USUAL_SIZE = 13;
    private static final String KEYS = "key.";
    private static final String LANES = "lanes";
    private static final String DEFAULT_SOURCE = "default-source";
    private static final String DEFAULT_TARGETS = "default-targets";
    private static final String FILTERS = "filters";
    private static final String INSTRUCTIONS = "instructions";

    /** A control character that nobody types (record separator). */
    private static final String DIVIDER = "\u001E";

    private static final String RELEASE_PROFILE = "release-profile.";
    private static final String CONTACTS = "contacts";
    private static final int MOST_LANGUAGES = 8;

    /** One thread for all windows, so that what was set last is written last. */
    private static final ExecutorService WRITER = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "settings");
        thread.setDaemon(true);
        return thread;
    });

    private final Optional<Path> file;
    private final Properties values = new Properties();
    private final List<Runnable> listeners = new CopyOnWriteArrayList<>();

    private PersonSettings(Optional<Path> file) {
        this.file = file;
    }

    /** Nothing is known, and nothing is kept. */
    public static PersonSettings none() {
        return new PersonSettings(Optional.empty());
    }

    /** Those in this file, which needs not be there yet. */
    public static PersonSettings in(Path file) {
        PersonSettings settings = new PersonSettings(Optional.of(file));
        if (Files.exists(file)) {
            try (Reader in = Files.newBufferedReader(file)) {
                PrivateFile.restrict(file);
                settings.values.load(in);
            } catch (IOException | IllegalArgumentException e) {
                LOG.log(Level.WARNING, "the settings in {0} cannot be read: {1}", new Object[] {file, e.getMessage()});
                setApart(file);
            }
        }
        return settings;
    }

    /** What cannot be read today is not overwritten by what is set next. */
    private static void setApart(Path file) {
        try {
            Files.copy(
                    file,
                    file.resolveSibling(file.getFileName() + ".unreadable"),
                    StandardCopyOption.REPLACE_EXISTING,
                    StandardCopyOption.COPY_ATTRIBUTES);
        } catch (IOException e) {
            LOG.log(Level.WARNING, "the settings that cannot be read are not kept", e);
        }
    }

    /** Those of the person who runs the program, where programs of this system keep such things. */
    public static PersonSettings ofPerson() {
        String configured = System.getenv("XDG_CONFIG_HOME");
        Path home = configured == null || configured.isBlank()
                ? Path.of(System.getProperty("user.home"), ".config")
                : Path.of(configured);
        return in(home.resolve("swaplane").resolve("defaults.properties"));
    }

    /** Calls whoever wants to know when something was set. */
    public void onChange(Runnable listener) {
        listeners.add(listener);
    }

    private String get(String key, String standard) {
        return values.getProperty(key, standard);
    }

    private void set(String key, String value) {
        if (value.isEmpty()) {
            values.remove(key);
        } else {
            values.setProperty(key, value);
        }
        keep();
        listeners.forEach(Runnable::run);
    }

    /** The name that signs the work; that of the account where none was given. */
    public String name() {
        return get("name", System.getProperty("user.name", ""));
    }

    public void setName(String name) {
        set("name", name.strip());
    }

    /** The initials that sign the work; those of the name where none were given. */
    public String initials() {
        return get("initials", Initials.of(name()));
    }

    public void setInitials(String initials) {
        set("initials", initials.strip());
    }

    public boolean isDark() {
        return Boolean.parseBoolean(get("dark", "false"));
    }

    public void setDark(boolean dark) {
        set("dark", String.valueOf(dark));
    }

    /** Size of ordinary text, in pixels. */
    public int fontSize() {
        try {
            return Math.max(10, Math.min(26, Integer.parseInt(get("font-size", "13"))));
        } catch (NumberFormatException e) {
            return 13;
        }
    }

    /** How many times as large as usual text is; what has a height in pixels is to be so much higher. */
    public double scale() {
        return fontSize() / USUAL_SIZE;
    }

    public void setFontSize(int pixels) {
        set("font-size", String.valueOf(pixels));
    }

    /** Code of the language of the interface; empty for that of the system. */
    public String interfaceLanguage() {
        return get("interface-language", "");
    }

    public void setInterfaceLanguage(String code) {
        set("interface-language", code);
    }

    /** Where new lanes are made. */
    public Path lanesFolder() {
        return Path.of(get(
                "lanes-folder",
                Path.of(System.getProperty("user.home"), "Swap Lane").toString()));
    }

    public void setLanesFolder(Path folder) {
        set("lanes-folder", folder.toString());
    }

    /** Where files were chosen last. */
    public Optional<Path> lastFolder() {
        return Optional.of(get("last-folder", ""))
                .filter(path -> !path.isEmpty())
                .map(Path::of);
    }

    public void setLastFolder(Path folder) {
        set("last-folder", folder.toString());
    }

    /** The keys that the person gave a command; empty where it has those that it comes with. */
    public Optional<String> keys(String command) {
        return Optional.ofNullable(values.getProperty(KEYS + command));
    }

    /** Gives a command other keys, none if they are empty. */
    public void setKeys(String command, String keys) {
        values.setProperty(KEYS + command, keys);
        keep();
        listeners.forEach(Runnable::run);
    }

    public void resetKeys(String command) {
        set(KEYS + command, "");
    }

    /** Commands that have keys of the person's own. */
    public List<String> commandsWithKeys() {
        return values.stringPropertyNames().stream()
                .filter(key -> key.startsWith(KEYS))
                .map(key -> key.substring(KEYS.length()))
                .sorted()
                .toList();
    }

    /** A lane that was opened, and when it was last. */
    public record OpenedLane(Path folder, Instant at) {}

    /** The lanes that were opened, last opened first. */
    public List<OpenedLane> lanes() {
        return Stream.of(get(LANES, "").split("\n"))
                .map(line -> line.split("\t"))
                .filter(parts -> parts.length == 2)
                .map(parts -> new OpenedLane(Path.of(parts[0]), Instant.parse(parts[1])))
                .toList();
    }

    public void opened(Path lane, Instant at) {
        List<OpenedLane> all = new ArrayList<>(lanes());
        all.removeIf(each -> each.folder().equals(lane));
        all.add(0, new OpenedLane(lane, at));
        setLanes(all);
    }

    public void forget(Path lane) {
        setLanes(lanes().stream().filter(each -> !each.folder().equals(lane)).toList());
    }

    private void setLanes(List<OpenedLane> all) {
        set(
                LANES,
                String.join(
                        "\n",
                        all.stream()
                                .map(each -> each.folder() + "\t" + each.at())
                                .toList()));
    }

    /** Where somebody was in a lane, as its window wrote it. */
    public String place(String lane) {
        return get("place." + lane, "");
    }

    public void setPlace(String lane, String place) {
        set("place." + lane, place);
    }

    /** How somebody looks at a lane in one of its views, such as {@code board.group}; empty when nothing was chosen. */
    public String choice(String lane, String name) {
        return get("choice." + lane + '.' + name, "");
    }

    public void setChoice(String lane, String name, String value) {
        set("choice." + lane + '.' + name, value);
    }

    /** Names of what clients want to get, kept for any lane. */
    public List<String> releaseProfiles() {
        return values.stringPropertyNames().stream()
                .filter(key -> key.startsWith(RELEASE_PROFILE))
                .map(key -> key.substring(RELEASE_PROFILE.length()))
                .sorted()
                .toList();
    }

    /** One of them: the conditions, parted by spaces, and below them the options. */
    public Optional<String> releaseProfile(String name) {
        return Optional.of(get(RELEASE_PROFILE + name, "")).filter(text -> !text.isEmpty());
    }

    public void setReleaseProfile(String name, String text) {
        set(RELEASE_PROFILE + name, text);
    }

    /** The person's address book, by name. */
    public List<Contact> contacts() {
        return get(CONTACTS, "")
                .lines()
                .map(Contact::of)
                .filter(contact -> !contact.name().isEmpty())
                .sorted(Comparator.comparing(Contact::name))
                .toList();
    }

    public void setContacts(List<Contact> contacts) {
        set(CONTACTS, contacts.stream().map(Contact::written).collect(Collectors.joining("\n")));
    }

    /** Instructions for recipients that are used again, in the order in which they were kept. */
    public List<String> instructions() {
        return Stream.of(get(INSTRUCTIONS, "").split(DIVIDER))
                .filter(text -> !text.isEmpty())
                .toList();
    }

    public void setInstructions(List<String> instructions) {
        set(INSTRUCTIONS, String.join(DIVIDER, instructions));
    }

    /** Words that the person knows to be right, in all lanes. */
    public List<String> words() {
        return get("words", "").lines().filter(word -> !word.isEmpty()).toList();
    }

    public void addWord(String word) {
        set("words", (get("words", "") + '\n' + word).strip());
    }

    /** Addresses where selected text is looked up, a template each: {@code {text}}, {@code {source}}, {@code {target}} stand in them. */
    public List<String> lookups() {
        return get("lookups", "").lines().filter(line -> !line.isBlank()).toList();
    }

    public void setLookups(List<String> templates) {
        set("lookups", String.join("\n", templates));
    }

    /** Whether sources stand above their targets, and not beside them. */
    public boolean isStacked() {
        return Boolean.parseBoolean(get("stacked", "false"));
    }

    public void setStacked(boolean stacked) {
        set("stacked", String.valueOf(stacked));
    }

    /** Whether the rows of segments stand close to each other. */
    public boolean isDense() {
        return Boolean.parseBoolean(get("dense", "false"));
    }

    public void setDense(boolean dense) {
        set("dense", String.valueOf(dense));
    }

    /** The person's own filters of segments, as they were written, by name. */
    public Map<String, String> filters() {
        Map<String, String> filters = new TreeMap<>();
        get(FILTERS, "")
                .lines()
                .map(line -> line.split("\t", 2))
                .filter(parts -> parts.length == 2)
                .forEach(parts -> filters.put(parts[0], parts[1]));
        return filters;
    }

    /** Keeps a filter under a name; an empty one is forgotten. */
    public void setFilter(String name, String written) {
        Map<String, String> filters = filters();
        filters.put(name, written);
        set(
                FILTERS,
                filters.entrySet().stream()
                        .filter(each -> !each.getValue().isEmpty())
                        .map(each -> each.getKey() + '\t' + each.getValue())
                        .collect(Collectors.joining("\n")));
    }

    /** Where drafts are asked for; empty for the stand-in that ships. */
    public String draftAddress() {
        return get("draft-address", "");
    }

    public void setDraftAddress(String address) {
        set("draft-address", address.strip());
    }

    /** What is shown to that service; kept in the person's settings, never in a lane. */
    public String draftKey() {
        return get("draft-key", "");
    }

    public void setDraftKey(String key) {
        set("draft-key", key.strip());
    }

    /** Source language that a new lane begins with: the one that was set, else the one of last time. */
    public String defaultSource() {
        return get(DEFAULT_SOURCE, get("source", ""));
    }

    /** The source language that was set for new lanes; empty where none was. */
    public String chosenSource() {
        return get(DEFAULT_SOURCE, "");
    }

    /** The target languages that were set for new lanes. */
    public List<String> chosenTargets() {
        return codes(get(DEFAULT_TARGETS, ""));
    }

    /** Empty to begin with the one of last time. */
    public void setDefaultSource(String code) {
        set(DEFAULT_SOURCE, code);
    }

    /** Target languages that a new lane begins with: those that were set, else the one of last time. */
    public List<String> defaultTargets() {
        return codes(get(DEFAULT_TARGETS, get("target", "")));
    }

    /** None to begin with the one of last time. */
    public void setDefaultTargets(List<String> codes) {
        set(DEFAULT_TARGETS, String.join(" ", codes));
    }

    /** The languages that a document without any begins with. */
    public FileOptions languages() {
        return FileOptions.ofLanguages(
                defaultSource(), defaultTargets().stream().findFirst().orElse(""));
    }

    private static List<String> codes(String written) {
        return Stream.of(written.split(" ")).filter(code -> !code.isEmpty()).toList();
    }

    /** The languages that were chosen last, last first. */
    public List<String> lastLanguages() {
        return codes(get("last-languages", ""));
    }

    /** Work goes on if they cannot be kept. */
    void rememberLanguages(String source, String target) {
        values.setProperty("source", source);
        values.setProperty("target", target);
        List<String> last = new ArrayList<>(List.of(target, source));
        lastLanguages().stream().filter(code -> !last.contains(code)).forEach(last::add);
        last.removeIf(String::isEmpty);
        set("last-languages", String.join(" ", last.subList(0, Math.min(MOST_LANGUAGES, last.size()))));
    }

    private void keep() {
        StringWriter written = new StringWriter();
        try {
            values.store(written, null);
        } catch (IOException e) {
            throw new AssertionError("nothing is read or written here", e);
        }
        file.ifPresent(path -> WRITER.execute(() -> write(path, written.toString())));
    }

    /** Only the person can read them: the keys of services are among them. */
    private static void write(Path path, String text) {
        try {
            Files.createDirectories(path.getParent());
            Path beside = path.resolveSibling(path.getFileName() + ".new");
            Files.deleteIfExists(beside);
            PrivateFile.create(beside);
            Files.writeString(beside, text);
            Durable.file(beside);
            Files.move(beside, path, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            LOG.log(Level.WARNING, "the settings cannot be kept in {0}: {1}", new Object[] {path, e.getMessage()});
        }
    }

    /** Waits until everything is written. */
    public static void settle() {
        try {
            WRITER.submit(() -> {}).get();
        } catch (InterruptedException | java.util.concurrent.ExecutionException e) {
            Thread.currentThread().interrupt();
        }
    }
}
