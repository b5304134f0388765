package amberheron.io.json;

import amberheron.core.job.RestsOn;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Turns the outputs of a job document into one list and back. In the document the first of them stands in the job itself,
 * as an only one does; a list can be compared part by part.
 */
final class OutputList {
    private static final String OUTPUTS = "outputs";
    private static final String LIST = "putBy";
    private static final String FIRST = "atHand";
    private static final String PATH = OUTPUTS + "." + LIST;
    private static final List<String> OWN = List.of("law", "reader", "points", "proving");

    private OutputList() {
    }

    /** Moves the first output from the job into the list; changes and returns the tree. */
    static ObjectNode gathered(ObjectNode tree) {
        if (!(tree.get(OUTPUTS) instanceof ObjectNode outputs) || !(outputs.remove(LIST) instanceof ArrayNode others)) {
            return tree;
        }
        ObjectNode first = tree.objectNode();
        first.set("id", outputs.remove(FIRST));
        first.set("logged", outputs.remove("logged"));
        move(OWN, tree, first);
        if (tree.get("changes") instanceof ObjectNode changes) {
            move(changesOfOutput(), changes, first.putObject("changes"));
        }
        outputs.putArray(LIST).add(first).addAll(others);
        return tree;
    }

    /** Moves the first output of the list back into the job; changes and returns the tree. */
    static ObjectNode spread(ObjectNode tree) {
        if (!(tree.get(OUTPUTS) instanceof ObjectNode outputs) || !(outputs.get(LIST) instanceof ArrayNode all)
                || !(all.remove(0) instanceof ObjectNode first)) {
            return tree;
        }
        outputs.set(FIRST, first.remove("id"));
        outputs.set("logged", first.remove("logged"));
        move(OWN, first, tree);
        if (first.get("changes") instanceof ObjectNode from && tree.get("changes") instanceof ObjectNode changes) {
            move(changesOfOutput(), from, changes);
        }
        return tree;
    }

    private static List<String> changesOfOutput() {
        return List.of(RestsOn.values()).stream().filter(RestsOn::ofAnOutput).map(RestsOn::key).toList();
    }

    private static void move(List<String> fields, ObjectNode from, ObjectNode to) {
        for (String field : fields) {
            JsonNode value = from.remove(field);
            if (value != null) {
                to.set(field, value);
            }
        }
    }

    static boolean is(String path) {
        return path.equals(PATH);
    }

    /** Where the part of a list stands in the document, counted from 1. */
    static String path(String list, int place) {
        return !is(list) ? list + "[" + place + "]" : place == 1 ? "" : list + "[" + (place - 1) + "]";
    }
}
