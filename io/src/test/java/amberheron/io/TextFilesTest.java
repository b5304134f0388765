package amberheron.io;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class TextFilesTest {
    @TempDir
    private Path folder = Path.of("");

    @Test
    void aByteOrderMarkIsNotPartOfTheText() throws IOException {
        Path file = Files.write(folder.resolve("a"), new byte[]{(byte) 0xEF, (byte) 0xBB, (byte) 0xBF, 'x'});
        assertThat(TextFiles.read(file, 10)).isEqualTo("x");
    }

    @Test
    void whatCannotBeReadIsSaidByName() throws IOException {
        assertThatThrownBy(() -> TextFiles.read(folder, 10)).hasMessageContaining("is a folder");
        assertThatThrownBy(() -> TextFiles.read(folder.resolve("gone"), 10)).hasMessageContaining("gone: no such file");
        Path large = Files.writeString(folder.resolve("large"), "12345678901");
        assertThatThrownBy(() -> TextFiles.read(large, 10)).hasMessageContaining("found 11 bytes, expected at most 10");
    }

    @Test
    void wrongBytesAreFoundByTheirLine() {
        byte[] text = "one\ntwo\nthr\u00e9e".getBytes(StandardCharsets.ISO_8859_1);
        assertThatThrownBy(() -> TextFiles.decode("f", text)).hasMessageContaining("f: line 3").hasMessageContaining(
                "0xE9");
        assertThatThrownBy(() -> TextFiles.decode("f", new byte[]{'a', (byte) 0xC3})).hasMessageContaining("line 1");
    }

    @Test
    void aFileIsReplacedWholeOrNotAtAll() throws IOException {
        Path file = folder.resolve("deep/er/file");
        TextFiles.replace(file, "first".getBytes(StandardCharsets.UTF_8));
        TextFiles.replace(file, "second".getBytes(StandardCharsets.UTF_8));
        assertThat(file).hasContent("second");
        assertThat(file.getParent()).isDirectoryNotContaining("glob:**.part");
        Path full = Path.of("/dev/full");
        if (Files.exists(full)) {
            Files.createSymbolicLink(folder.resolve("deep/er/file.part"), full);
            assertThatThrownBy(() -> TextFiles.replace(file, "third".getBytes(StandardCharsets.UTF_8)))
                    .isInstanceOf(IOException.class);
            assertThat(file).as("a full disk leaves what stood there").hasContent("second");
        }
    }
}
