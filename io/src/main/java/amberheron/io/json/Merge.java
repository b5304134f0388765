package amberheron.io.json;

import amberheron.io.UnusableInput;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Two versions of a job that grew from one, brought together value by value: what only one of them changed is taken from
 * it. What both changed, and differently, is left to a person.
 *
 * @param ours all of both; where both changed the same, as the one has it
 * @param theirs all of both; where both changed the same, as the other has it
 * @param clashes where both changed the same; empty where the two versions are one now
 */
public record Merge(JobDocument ours, JobDocument theirs, List<Difference> clashes) {
    /** By what the parts of a list are told apart, the first that all of them have. */
    private static final List<String> NAMES = List.of("id", "tag", "reader");
    private static final String CHANGES = "changes";
    private static final String ORIGINS = "origins";

    public Merge {
        clashes = List.copyOf(clashes);
    }

    /** Brings two versions together that grew from one. */
    public static Merge of(JobDocument base, JobDocument ours, JobDocument theirs) {
        String atHand = atHand(base);
        if (!atHand.equals(atHand(ours)) || !atHand.equals(atHand(theirs))) {
            // Law and readings of two outputs do not mix.
            return apart(ours, theirs);
        }
        ObjectNode was = tree(base);
        ObjectNode here = tree(ours);
        ObjectNode there = tree(theirs);
        Walk walk = new Walk(true);
        ObjectNode all = walk.objects("", was, here, there);
        try {
            JobDocument mine = read(all);
            JobDocument yours = walk.clashes.isEmpty()
                    ? mine
                    : read(new Walk(false).objects("", was, here, there));
            return new Merge(mine, yours, walk.clashes);
        } catch (UnusableInput e) {
            // Each is a job, and both together are none.
            return apart(ours, theirs);
        }
    }

    private static Merge apart(JobDocument ours, JobDocument theirs) {
        return new Merge(ours, theirs, Difference.between(ours, theirs));
    }

    /** As it would be read again: a number is one kind of number then. */
    private static ObjectNode tree(JobDocument document) {
        return Json.parse(document.job().id(), document.text());
    }

    private static JobDocument read(ObjectNode tree) {
        return JobDocument.made("both versions", tree);
    }

    private static String atHand(JobDocument document) {
        return document.job().outputs().atHand().id();
    }

    /** One walk through the three of them. */
    private static final class Walk {
        private final boolean ourWay;
        private final List<Difference> clashes = new ArrayList<>();

        private Walk(boolean ourWay) {
            this.ourWay = ourWay;
        }

        private @Nullable JsonNode either(String path, @Nullable JsonNode base, @Nullable JsonNode ours,
                @Nullable JsonNode theirs) {
            if (same(ours, theirs) || same(base, theirs)) {
                return ours;
            }
            if (same(base, ours)) {
                return theirs;
            }
            if (ours instanceof ObjectNode o && theirs instanceof ObjectNode t && oneThing(o, t)) {
                return objects(path, base instanceof ObjectNode b ? b : Json.object(), o, t);
            }
            if (base instanceof ArrayNode b && ours instanceof ArrayNode o && theirs instanceof ArrayNode t) {
                JsonNode list = lists(path, b, o, t);
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
                    case CHANGES -> latest(ours.get(name), theirs.get(name));
                    case ORIGINS -> origins(base.get(name), ours.get(name), theirs.get(name));
                    default -> either(at, base.get(name), ours.get(name), theirs.get(name));
                };
                if (one != null) {
                    out.set(name, one);
                }
            }
            return out;
        }

        /** Where values came from goes with the values: of a field that both typed, with the side that is taken. */
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

        /** Nothing is nothing, written down or not. */
        private static boolean same(@Nullable JsonNode a, @Nullable JsonNode b) {
            if (a == null || a.isNull()) {
                return b == null || b.isNull();
            }
            return a.equals(b);
        }

        /** Since when what a reading rests on is as it is: of both, the later moment. */
        private static @Nullable JsonNode latest(@Nullable JsonNode ours, @Nullable JsonNode theirs) {
            if (!(ours instanceof ObjectNode o) || !(theirs instanceof ObjectNode t)) {
                return ours == null ? theirs : ours;
            }
            ObjectNode out = t.deepCopy();
            o.properties().forEach(e -> {
                JsonNode other = out.get(e.getKey());
                if (other == null || moment(e.getValue()).compareTo(moment(other)) > 0) {
                    out.set(e.getKey(), e.getValue());
                }
            });
            return out;
        }

        private static Instant moment(JsonNode text) {
            try {
                return Instant.parse(text.asString(""));
            } catch (DateTimeException e) {
                return Instant.MIN;
            }
        }

        private static boolean oneThing(ObjectNode ours, ObjectNode theirs) {
            return Objects.equals(ours.get("id"), theirs.get("id"));
        }

        /** Null where the lists cannot be brought together part by part. */
        private @Nullable JsonNode lists(String path, ArrayNode base, ArrayNode ours, ArrayNode theirs) {
            Map<String, JsonNode> b = named(base);
            Map<String, JsonNode> o = named(ours);
            Map<String, JsonNode> t = named(theirs);
            if (b != null && o != null && t != null) {
                return sameOrder(b, o, t) ? parts(path, b, o, t) : null;
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

        /** Whether at most one of the two put the parts that were there in another order. */
        private static boolean sameOrder(Map<String, JsonNode> base, Map<String, JsonNode> ours,
                Map<String, JsonNode> theirs) {
            List<String> both = base.keySet().stream().filter(ours::containsKey).filter(theirs::containsKey).toList();
            List<String> o = ours.keySet().stream().filter(both::contains).toList();
            List<String> t = theirs.keySet().stream().filter(both::contains).toList();
            return o.equals(both) || t.equals(both) || o.equals(t);
        }

        /** In their order, what only we have after it; where only we put them in another order, in ours. */
        private JsonNode parts(String path, Map<String, JsonNode> base, Map<String, JsonNode> ours,
                Map<String, JsonNode> theirs) {
            List<String> kept = base.keySet().stream().filter(theirs::containsKey).toList();
            boolean theirOrder = !theirs.keySet().stream().filter(base::containsKey).toList().equals(kept);
            Set<String> names = new LinkedHashSet<>(theirOrder ? theirs.keySet() : ours.keySet());
            names.addAll(theirs.keySet());
            names.addAll(ours.keySet());
            ArrayNode out = Json.object().arrayNode();
            for (String name : names) {
                JsonNode one = either(path + "[" + name + "]", base.get(name), ours.get(name), theirs.get(name));
                if (one != null) {
                    out.add(one);
                }
            }
            return out;
        }

        /** The parts by name; null for a list whose parts have none, or the same. */
        private static @Nullable Map<String, JsonNode> named(ArrayNode list) {
            for (String by : NAMES) {
                Map<String, JsonNode> parts = new LinkedHashMap<>();
                for (JsonNode each : list) {
                    JsonNode name = each.isString() ? each : each.get(by);
                    if (name != null && name.isString()) {
                        parts.put(name.stringValue(), each);
                    }
                }
                if (parts.size() == list.size()) {
                    return parts;
                }
            }
            return null;
        }
    }
}
