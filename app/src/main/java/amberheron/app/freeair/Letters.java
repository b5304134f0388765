package amberheron.app.freeair;

import amberheron.core.freeair.Condition;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** The key of each condition: the first letter of its words that no condition before it has. */
final class Letters {
    private Letters() {
    }

    static String of(Condition condition) {
        Map<Condition, String> letters = new EnumMap<>(Condition.class);
        Set<String> taken = new HashSet<>();
        for (Condition each : Condition.values()) {
            letters.put(each, each.words().toUpperCase(Locale.ROOT).codePoints().filter(Character::isLetter)
                    .mapToObj(Character::toString).filter(taken::add).findFirst().orElse(""));
        }
        return letters.getOrDefault(condition, "");
    }
}
