package amberheron.app;

import amberheron.core.harness.WireColour;
import amberheron.core.units.Phrase;
import amberheron.core.units.Unit;
import amberheron.io.catalogue.Catalogue;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A language in which every letter of ours has a mark, so that a word that did not pass the one place is seen. */
final class MadeUpLanguage {
    private static final String PLAIN = "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ";
    private static final String MARKED = "àƀçđéƒğħíĵķłɱñóƥɋřšťúṽŵẋýžÀƁÇĐÉƑĞĦÍĴĶŁṀÑÓƤɊŘŠŤÚṼŴẊÝŽ";
    /** Where values go, and what stands for a sign in a page. */
    private static final Pattern PLACES = Pattern
            .compile("%(?:\\d+\\$)?[-+#, 0]*\\d*(?:\\.\\d+)?[a-zA-Z%]|\\{\\d+}|&#?\\w+;");
    /** Files, and the codes of packs. */
    private static final Pattern FILE = Pattern
            .compile(
                    "(?<![^\\s“])/\\S+|[\\w%-]+\\.(?:json|csv|html|pdf|svg|db|png|ics|log|sig)\\b|\\b[0-9A-Z]{4}-[0-9A-Z]{4}\\b");
    private static final Pattern WORD = Pattern.compile("[A-Za-z][A-Za-z'’-]+");
    /** Names of keys, of what is sent and filed, and the product's own. */
    private static final Set<String> NAMES = Set.of("Ctrl", "Alt", "Shift", "Enter", "Esc", "AFR", "CO", "AWG", "min",
            "kHz", "MB", "kB", "postgresql");

    private final List<String> exempt = new ArrayList<>();
    private final Map<String, List<String>> seen = new HashMap<>();

    MadeUpLanguage() {
        for (String list : List.of("controllers", "fuels", "laws", "readers", "streams", "wires")) {
            try (InputStream in = Objects.requireNonNull(
                    Catalogue.class.getResourceAsStream("/amberheron/io/catalogue/" + list + ".json"))) {
                exempt(texts(JsonMapper.shared().readTree(in)));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        exempt(Arrays.stream(WireColour.Hue.values()).map(WireColour.Hue::letters).toList());
        exempt(Arrays.stream(Unit.values()).map(Unit::symbol).filter(s -> s.length() > 2).toList());
    }

    static void speak() {
        Phrase.speak(MadeUpLanguage::marked);
    }

    static String marked(String english) {
        StringBuilder out = new StringBuilder();
        Matcher places = PLACES.matcher(english);
        int at = 0;
        while (places.find()) {
            out.append(letters(english.substring(at, places.start()))).append(places.group());
            at = places.end();
        }
        return out.append(letters(english.substring(at))).toString();
    }

    private static String letters(String words) {
        return words.chars().map(c -> PLAIN.indexOf(c) < 0 ? c : MARKED.charAt(PLAIN.indexOf(c)))
                .mapToObj(Character::toString).collect(Collectors.joining());
    }

    /** What people typed, and what is called as its maker calls it, stays as it is. */
    void exempt(Collection<String> names) {
        Set<String> all = new LinkedHashSet<>(exempt);
        all.addAll(names);
        all.removeIf(n -> n.strip().length() < 2);
        seen.clear();
        exempt.clear();
        exempt.addAll(all);
        exempt.sort(Comparator.comparingInt(String::length).reversed());
    }

    /** Columns of a log are called as whoever wrote it called them. */
    void exemptColumns(Path log) {
        try (Stream<String> lines = Files.lines(log)) {
            exempt(List.of(lines.findFirst().orElse("").split(",")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** All texts in a document. */
    static Set<String> texts(JsonNode node) {
        Set<String> all = new HashSet<>();
        if (node.isString()) {
            all.add(node.asString());
        }
        node.forEach(child -> all.addAll(texts(child)));
        return all;
    }

    /** Words in it that carry no mark and are nobody's. */
    List<String> unmarked(String text) {
        return WORD.matcher(text).find() ? seen.computeIfAbsent(text, this::looked) : List.of();
    }

    private List<String> looked(String text) {
        String left = FILE.matcher(text).replaceAll(" ");
        for (String name : exempt) {
            if (left.contains(name)) {
                left = left.replaceAll("(?<![A-Za-z])" + Pattern.quote(name) + "(?![A-Za-z])", " ");
            }
            left = shortened(left, name);
        }
        return WORD.matcher(left).results().map(MatchResult::group).filter(w -> !NAMES.contains(w))
                .filter(w -> Arrays.stream(Unit.values()).noneMatch(u -> u.symbol().equals(w))).toList();
    }

    /** What has too little room ends in dots. */
    private static String shortened(String text, String name) {
        int dots = text.indexOf('…');
        for (int most = Math.min(dots, name.length()); most > 5; most--) {
            if (text.startsWith(name.substring(0, most), dots - most)) {
                return text.substring(0, dots - most) + text.substring(dots);
            }
        }
        return text;
    }
}
