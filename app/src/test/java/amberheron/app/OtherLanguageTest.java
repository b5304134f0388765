package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * In a made-up language no word of ours is seen anywhere: each passed the one place where another can be put for it. The
 * language is set once for all of a program, so that each walk is one of its own.
 */
class OtherLanguageTest {
    @TempDir
    private Path home = Path.of("");

    private List<String> said(Class<?> walk) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        ManagementFactory.getRuntimeMXBean().getInputArguments().stream().filter(a -> !a.startsWith("-javaagent"))
                .forEach(command::add);
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), "-Dstdout.encoding=UTF-8", walk.getName(),
                home.toString()));
        Process program = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
        List<String> lines = new String(program.getInputStream().readAllBytes(), StandardCharsets.UTF_8).lines()
                .toList();
        assertThat(program.waitFor()).as("%s", lines).isZero();
        return lines;
    }

    @Test
    void everyTextOfTheWindowPassesTheOnePlace() throws Exception {
        List<String> said = said(LanguageOfWindow.class);
        assertThat(said.subList(0, said.size() - 1)).isEmpty();
        assertThat(Integer.parseInt(said.getLast())).as("texts looked at").isGreaterThan(5000);
    }

    @Test
    void everyTextOfCommandsAndSheetsPassesTheOnePlace() throws Exception {
        List<String> said = said(LanguageOfCommands.class);
        assertThat(said.subList(0, said.size() - 1)).isEmpty();
        assertThat(Integer.parseInt(said.getLast())).as("lines looked at").isGreaterThan(1000);
    }
}
