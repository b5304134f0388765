package amberheron.io.json;

import static amberheron.core.units.Phrase.say;

import amberheron.core.parts.PartIds;
import amberheron.io.UnusableInput;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Merge of two versions of a job that grew from one, value by value. A value that only one of them changed is taken from
 * it, and every part that either added is kept. Values that both changed, and differently, are left to a person.
 *
 * @param ours all of both; where both changed the same, as the one has it
 * @param theirs all of both; where both changed the same, as the other has it
 * @param clashes where both changed the same; empty where the two versions are one now
 * @param renamed parts of ours whose tag or letter the other version gave to a part of its own
 */
public record Merge(JobDocument ours, JobDocument theirs, List<Difference> clashes, List<Renamed> renamed) {
    /** Fields by which the parts of a list are told apart, the first that all of them have. */
    private static final List<List<String>> NAMES = List.of(List.of("id"), List.of("reader"), List.of("digest"),
            List.of("speed", "load"));
    private static final String CHANGES = "changes";
    private static final String ORIGINS = "origins";
    private static final String TAKEN = "taken";
    private static final String STEPS = "done";
    private static final String SCHOOL = "school";

    public Merge {
        clashes = List.copyOf(clashes);
        renamed = List.copyOf(renamed);
    }

    /** Parts that people call by a name of which there must be only one in a job. */
    public enum Named {
        PLACE("/placing/candidates", "letter"),
        SOURCE("/wiring/sources", "letter"),
        WIRE("/wiring/harness/wires", "tag");

        private final String list;
        private final String field;

        Named(String list, String field) {
            this.list = list;
            this.field = field;
        }

        private String next(List<String> taken) {
            return this == WIRE ? PartIds.nextNumber(taken) : PartIds.nextLetter(taken);
        }

        private ArrayNode of(ObjectNode tree) {
            return tree.at(list) instanceof ArrayNode all ? all : tree.arrayNode();
        }
    }

    /** A part of ours that is called otherwise now, since both versions had added one of the same name. */
    public record Renamed(Named what, String from, String to) {
        /** Says what a person has to know, and to write on the part. */
        public String said() {
            return switch (what) {
                case PLACE -> say("Your place %s is %s now: another bay has a place %s of its own.", from, to, from);
                case SOURCE -> say("Your source %s is %s now: another bay has a source %s of its own.", from, to, from);
                case WIRE ->
                    say("Your wire %s is %s now: another bay has a wire %s of its own. Write %s on both its tags.",
                            from, to, from, to);
            };
        }
    }

    /** Brings two versions together that grew from one. */
    public static Merge of(JobDocument base, JobDocument ours, JobDocument theirs) {
        Versions all = new Versions(OutputList.gathered(tree(base)), OutputList.gathered(tree(ours)),
                OutputList.gathered(tree(theirs)));
        try {
            return together(all, false);
        } catch (UnusableInput e) {
            try {
                // What both changed somewhere in a section does not go together: each section from one of them.
                return together(all, true);
            } catch (UnusableInput again) {
                // Each is a job, and both together are none.
                return new Merge(ours, theirs, Difference.between(ours, theirs), List.of());
            }
        }
    }

    private record Versions(ObjectNode base, ObjectNode ours, ObjectNode theirs) {
    }

    private static Merge together(Versions all, boolean sections) {
        Walk walk = new Walk(true, sections);
        List<Renamed> renamed = new ArrayList<>();
        JobDocument mine = read(renamed(walk.whole(all), all, renamed));
        JobDocument yours = walk.clashes.isEmpty()
                ? mine
                : read(renamed(new Walk(false, sections).whole(all), all, new ArrayList<>()));
        return new Merge(mine, yours, walk.clashes, renamed);
    }

    /** Returns the tree as it would be read again, so that every number is one kind of node. */
    private static ObjectNode tree(JobDocument document) {
        return Json.parse(document.job().id(), document.text());
    }

    private static JobDocument read(ObjectNode tree) {
        return JobDocument.made("both versions", OutputList.spread(tree));
    }

    /** Gives a part of ours another name where the other version gave its name to another part. */
    private static ObjectNode renamed(ObjectNode merged, Versions all, List<Renamed> into) {
        for (Named what : Named.values()) {
            List<String> taken = new ArrayList<>();
            what.of(merged).forEach(p -> taken.add(name(what, p)));
            for (JsonNode part : what.of(merged)) {
                String name = name(what, part);
                if (taken.stream().filter(name::equals).count() > 1 && !keepsName(what, part, merged, all)) {
                    String next = what.next(taken);
                    ((ObjectNode) part).put(what.field, next);
                    taken.remove(name);
                    taken.add(next);
                    into.add(new Renamed(what, name, next));
                    if (what == Named.WIRE) {
                        followed(merged, all, name, next);
                    }
                }
            }
        }
        return merged;
    }

    private static String name(Named what, JsonNode part) {
        return part.path(what.field).asString("");
    }

    /**
     * Returns whether a part keeps its name among parts with the same name: the one that the other version calls so keeps
     * it, else the first.
     */
    private static boolean keepsName(Named what, JsonNode part, ObjectNode merged, Versions all) {
        String name = name(what, part);
        List<JsonNode> same = Stream.of(what.of(merged)).flatMap(a -> a.valueStream())
                .filter(p -> name(what, p).equals(name)).toList();
        JsonNode keeper = same.stream()
                .filter(p -> what.of(all.theirs).valueStream()
                        .anyMatch(t -> sameId(t, p) && name(what, t).equals(name)))
                .findFirst().orElse(same.getFirst());
        return sameId(keeper, part);
    }

    /** Joints of ours that were tested on the wire follow it to its new tag. */
    private static void followed(ObjectNode merged, Versions all, String from, String to) {
        String list = "/wiring/harness/joints/tested";
        for (JsonNode joint : merged.at(list)) {
            boolean theirs = all.theirs.at(list).valueStream()
                    .anyMatch(t -> sameId(t, joint) && t.path("wire").equals(joint.path("wire")));
            if (!theirs && joint.path("wire").asString("").equals(from)) {
                ((ObjectNode) joint).put("wire", to);
            }
        }
    }

    private static boolean sameId(JsonNode a, JsonNode b) {
        return Objects.equals(a.get("id"), b.get("id"));
    }

    /** Compares two values; an absent value equals null. */
    private static boolean same(@Nullable JsonNode a, @Nullable JsonNode b) {
        if (a == null || a.isNull()) {
            return b == null || b.isNull();
        }
        return a.equals(b);
    }

    private static Instant moment(@Nullable JsonNode text) {
        try {
            return text == null ? Instant.MIN : Instant.parse(text.asString(""));
        } catch (DateTimeException e) {
            return Instant.MIN;
        }
    }

    /** The last moment at which something was read in a version and not in the one that it grew from. */
    private static Instant lastReading(ObjectNode base, ObjectNode version) {
        Set<JsonNode> known = new HashSet<>(base.findValues(TAKEN));
        return version.findValues(TAKEN).stream().filter(t -> !known.contains(t)).map(Merge::moment)
                .max(Instant::compareTo).orElse(Instant.MIN);
    }

    /** A walk through the three versions. */
    private static final class Walk {
        private final boolean ourWay;
        private final boolean sections;
        private final List<Difference> clashes = new ArrayList<>();

        private Walk(boolean ourWay, boolean sections) {
            this.ourWay = ourWay;
            this.sections = sections;
        }

        /** A tree of its own: what comes of it may be changed. */
        private ObjectNode whole(Versions all) {
            return objects("", all.base, all.ours, all.theirs).deepCopy();
        }

        private @Nullable JsonNode either(String path, @Nullable JsonNode base, @Nullable JsonNode ours,
                @Nullable JsonNode theirs) {
            if (same(ours, theirs) || same(base, theirs)) {
                return ours;
            }
            if (same(base, ours)) {
                return theirs;
            }
            if (!sections && ours instanceof ObjectNode o && theirs instanceof ObjectNode t && sameId(o, t)) {
                return objects(path, base instanceof ObjectNode b ? b : Json.object(), o, t);
            }
            if (!sections && ours instanceof ArrayNode o && theirs instanceof ArrayNode t) {
                JsonNode list = lists(path, base instanceof ArrayNode b ? b : o.arrayNode(), o, t);
                if (list != null) {
                    return list;
                }
            }
            clashes.addAll(Difference.between(path, ours, theirs));
            return ourWay ? ours : theirs;
        }

        private ObjectNode objects(String path, ObjectNode base, ObjectNode ours, ObjectNode theirs) {
            Set<String> names = new LinkedHashSet<>(theirs.propertyNames());
            names.addAll(ours.propertyNames());
            ObjectNode out = Json.object();
            for (String name : names) {
                String at = path.isEmpty() ? name : path + "." + name;
                JsonNode one = switch (name) {
                    case CHANGES -> latest(base, ours, theirs);
                    case ORIGINS -> origins(base.get(name), ours.get(name), theirs.get(name));
                    case STEPS -> steps(at, base, ours, theirs);
                    default -> either(at, base.get(name), ours.get(name), theirs.get(name));
                };
                if (one != null) {
                    out.set(name, one);
                }
            }
            return out;
        }

        /** Steps that are done belong to the way of joining that they are steps of. */
        private @Nullable JsonNode steps(String at, ObjectNode base, ObjectNode ours, ObjectNode theirs) {
            JsonNode was = base.get(SCHOOL);
            if (same(ours.get(SCHOOL), theirs.get(SCHOOL))) {
                return either(at, base.get(STEPS), ours.get(STEPS), theirs.get(STEPS));
            }
            boolean mine = same(was, theirs.get(SCHOOL)) || (ourWay && !same(was, ours.get(SCHOOL)));
            return mine ? ours.get(STEPS) : theirs.get(STEPS);
        }

        /**
         * Merges the origins of values along with the values: of a field that both typed, the origin of the side that is
         * taken.
         */
        private @Nullable JsonNode origins(@Nullable JsonNode base, @Nullable JsonNode ours,
                @Nullable JsonNode theirs) {
            if (!(ours instanceof ObjectNode o) || !(theirs instanceof ObjectNode t)) {
                return ours == null ? theirs : ours;
            }
            ObjectNode out = Json.object();
            Set<String> fields = new TreeSet<>(t.propertyNames());
            fields.addAll(o.propertyNames());
            for (String field : fields) {
                JsonNode was = base == null ? null : base.get(field);
                boolean mine = same(was, t.get(field)) || (ourWay && !same(was, o.get(field)));
                JsonNode one = mine ? o.get(field) : t.get(field);
                if (one != null) {
                    out.set(field, one);
                }
            }
            return out;
        }

        /**
         * Merges the times of change: of both, the later. What one side changed while the other took readings without
         * knowing of it counts as changed after those readings, whatever the two clocks say.
         */
        private static @Nullable JsonNode latest(ObjectNode base, ObjectNode ours, ObjectNode theirs) {
            if (!(ours.get(CHANGES) instanceof ObjectNode o) || !(theirs.get(CHANGES) instanceof ObjectNode t)) {
                return ours.get(CHANGES) == null ? theirs.get(CHANGES) : ours.get(CHANGES);
            }
            Instant readHere = lastReading(base, ours);
            Instant readThere = lastReading(base, theirs);
            ObjectNode out = t.deepCopy();
            Set<String> names = new LinkedHashSet<>(t.propertyNames());
            names.addAll(o.propertyNames());
            for (String name : names) {
                JsonNode was = base.path(CHANGES).get(name);
                boolean changedHere = !same(was, o.get(name));
                boolean changedThere = !same(was, t.get(name));
                Instant last = Stream.of(moment(o.get(name)), moment(t.get(name)),
                        changedHere && !changedThere && readThere.isAfter(Instant.MIN)
                                ? readThere.plusMillis(1)
                                : Instant.MIN,
                        changedThere && !changedHere && readHere.isAfter(Instant.MIN)
                                ? readHere.plusMillis(1)
                                : Instant.MIN)
                        .max(Instant::compareTo).orElseThrow();
                if (last.isAfter(Instant.MIN)) {
                    out.put(name, last.toString());
                }
            }
            return out;
        }

        /** Null where the lists cannot be brought together part by part. */
        private @Nullable JsonNode lists(String path, ArrayNode base, ArrayNode ours, ArrayNode theirs) {
            Map<String, JsonNode> b = named(base);
            Map<String, JsonNode> o = named(ours);
            Map<String, JsonNode> t = named(theirs);
            if (b != null && o != null && t != null) {
                return parts(path, b, o, t);
            }
            if (base.size() != ours.size() || base.size() != theirs.size()) {
                return null;
            }
            ArrayNode out = ours.arrayNode();
            for (int i = 0; i < base.size(); i++) {
                out.add(Objects.requireNonNull(
                        either(path + "[" + (i + 1) + "]", base.get(i), ours.get(i), theirs.get(i))));
            }
            return out;
        }

        /** The parts that both have, as a version has them. */
        private static List<String> order(Map<String, JsonNode> version, Map<String, JsonNode> other,
                Map<String, JsonNode> base) {
            return version.keySet().stream().filter(other::containsKey).filter(base::containsKey).toList();
        }

        /** Returns whether our order is taken: that of the side that changed it; where both did, a person is asked. */
        private boolean ourOrder(String path, Map<String, JsonNode> base, Map<String, JsonNode> ours,
                Map<String, JsonNode> theirs) {
            List<String> was = base.keySet().stream().filter(ours::containsKey).filter(theirs::containsKey).toList();
            List<String> o = order(ours, theirs, base);
            List<String> t = order(theirs, ours, base);
            if (t.equals(was) || o.equals(t)) {
                return true;
            }
            if (o.equals(was)) {
                return false;
            }
            clashes.add(new Difference(path, places(o, was), places(t, was)));
            return ourWay;
        }

        private static String places(List<String> order, List<String> was) {
            return say("in the order %s",
                    String.join(", ", order.stream().map(p -> String.valueOf(1 + was.indexOf(p))).toList()));
        }

        /** Lists the parts in their order, each part that only they added after the part it stands behind there. */
        private JsonNode parts(String path, Map<String, JsonNode> base, Map<String, JsonNode> ours,
                Map<String, JsonNode> theirs) {
            boolean ourOrder = ourOrder(path, base, ours, theirs);
            List<String> names = new ArrayList<>(ourOrder ? ours.keySet() : theirs.keySet());
            String before = "";
            for (String name : ourOrder ? theirs.keySet() : ours.keySet()) {
                if (!names.contains(name)) {
                    int at = names.indexOf(before) + 1;
                    // Ours stand behind what the other added at the same place.
                    while (!ourOrder && at < names.size() && !base.containsKey(names.get(at))
                            && !ours.containsKey(names.get(at))) {
                        at++;
                    }
                    names.add(at, name);
                }
                before = name;
            }
            ArrayNode out = Json.object().arrayNode();
            int place = 0;
            for (String name : names) {
                place++;
                JsonNode one = either(OutputList.path(path, place), base.get(name), ours.get(name), theirs.get(name));
                if (one != null) {
                    out.add(one);
                }
            }
            if (out.isEmpty() && !ours.isEmpty() && OutputList.is(path)) {
                // Each took off the one that the other left: one there must be.
                clashes.add(new Difference(path, words(ours), words(theirs)));
                (ourWay ? ours : theirs).values().forEach(out::add);
            }
            return out;
        }

        private static String words(Map<String, JsonNode> parts) {
            return String.join(", ",
                    parts.values().stream().map(p -> p.path("reader").path("name").asString("—")).toList());
        }

        /** Returns the parts by name; null for a list whose parts have no names, or equal ones. */
        private static @Nullable Map<String, JsonNode> named(ArrayNode list) {
            for (List<String> by : NAMES) {
                Map<String, JsonNode> parts = new LinkedHashMap<>();
                for (JsonNode each : list) {
                    String name = each.isString() || each.isIntegralNumber() ? each.asString() : name(by, each);
                    if (!name.isEmpty()) {
                        parts.put(name, each);
                    }
                }
                if (parts.size() == list.size()) {
                    return parts;
                }
            }
            return null;
        }

        private static String name(List<String> by, JsonNode part) {
            return by.stream().allMatch(part::hasNonNull)
                    ? String.join("/", by.stream().map(f -> part.get(f).asString("")).toList())
                    : "";
        }
    }
}
