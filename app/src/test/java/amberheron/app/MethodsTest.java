package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.finding.Source;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** The page of methods says no more and no less than the code. */
class MethodsTest {
    private static final Pattern CLASS = Pattern.compile("`([A-Z][A-Za-z0-9]+)`");
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("amberheron.core");

    private static String page() throws IOException {
        return Files.readString(Path.of("..", "docs", "methods.md")).replaceAll("\\s+", " ");
    }

    @Test
    void everyClassThatItNamesIsThere() throws IOException {
        Set<String> there = CORE.stream().map(JavaClass::getSimpleName).collect(Collectors.toSet());
        Set<String> named = new TreeSet<>();
        Matcher matcher = CLASS.matcher(page());
        while (matcher.find()) {
            named.add(matcher.group(1));
        }
        assertThat(named).hasSizeGreaterThan(60);
        assertThat(there).containsAll(named);
    }

    @Test
    void everySourceThatARuleHoldsIsInIt() throws ReflectiveOperationException, IOException {
        String page = page();
        List<String> missing = new ArrayList<>();
        int found = 0;
        for (JavaClass each : CORE) {
            for (Field field : each.reflect().getDeclaredFields()) {
                if (field.getType() == Source.class && Modifier.isStatic(field.getModifiers())) {
                    field.setAccessible(true);
                    found++;
                    String citation = ((Source) field.get(null)).citation();
                    if (!page.contains(citation)) {
                        missing.add(each.getSimpleName() + ": " + citation);
                    }
                }
            }
        }
        assertThat(found).isGreaterThan(40);
        assertThat(missing).isEmpty();
    }
}
