package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Every library that ships is listed with why it does, and none that was left out has come back with another. */
class ShippedTest {
    private static Set<String> all(String pattern, String text) {
        return Pattern.compile(pattern).matcher(text).results().map((MatchResult m) -> m.group(1))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void everyLibraryIsListedWithItsReason() throws IOException {
        String ships;
        try (InputStream in = Heron.class.getResourceAsStream("/META-INF/THIRD-PARTY.txt")) {
            ships = new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
        }
        Set<String> libraries = all("\\([\\w.-]+:([\\w.-]+):[\\w.-]+ - ", ships);
        String listed = Files.readString(Path.of("..", "docs", "dependencies.md"));
        assertThat(all("(?m)^\\| `([\\w.-]+)` \\| `[\\w.-]+` \\| .{10,} \\|$", listed)).isEqualTo(libraries);
        assertThat(libraries).hasSizeGreaterThan(30).doesNotContain("ognl", "javassist", "thymeleaf", "rhino",
                "batik-script", "snakeyaml-engine", "flyway-database-cockroachdb");
    }
}
