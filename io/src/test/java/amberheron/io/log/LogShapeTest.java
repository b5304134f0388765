package amberheron.io.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.io.UnusableInput;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Where the rows of a log begin, and what its columns are called, for ways in which people's programs write. */
class LogShapeTest {
    /** A beginning of a log, and what is to be found in it. */
    record Case(String what, byte[] beginning, char separator, boolean comma, List<String> names, List<String> units,
            int firstLine) {
        static Case of(String what, String text, char separator, boolean comma, String names, String units, int first) {
            return new Case(what, text.getBytes(StandardCharsets.UTF_8), separator, comma,
                    List.of(names.split("~", -1)),
                    List.of(units.split("~", -1)), first);
        }

        Case in(Charset charset) {
            return new Case(what + " in " + charset,
                    new String(beginning, StandardCharsets.UTF_8).getBytes(charset), separator, comma, names, units,
                    firstLine);
        }

        @Override
        public String toString() {
            return what;
        }
    }

    static Stream<Case> cases() {
        String rows = "0.0,0.95,0.96\n0.1,0.97,0.98\n0.2,0.99,1.00\n0.3,1.01,1.02\n";
        Case marked = Case.of("marked", "\uFEFFt,u\n0.0,1.1\n0.1,1.2\n0.2,1.3\n", ',', false, "t~u", "~", 2);
        return Stream.of(
                Case.of("header", "t,one,two\n" + rows, ',', false, "t~one~two", "~~", 2),
                Case.of("no header", rows, ',', false, "column 1~column 2~column 3", "~~", 1),
                Case.of("a column without a name", "t,,two\n" + rows, ',', false, "t~column 2~two", "~~", 2),
                Case.of("a name too few", "t,one\n" + rows, ',', false, "t~one~column 3", "~~", 2),
                Case.of("a name too many", "t,one,two,end\n" + rows, ',', false, "t~one~two", "~~", 2),
                Case.of("two names too few", "t,one,two,three\n0,1,2,3,4,5\n1,1,2,3,4,5\n2,1,2,3,4,5\n", ',', false,
                        "column 1~column 2~column 3~column 4~column 5~column 6", "~~~~~", 2),
                Case.of("units in brackets", "t [s],one (λ),two ( AFR )\n" + rows, ',', false, "t~one~two", "s~λ~AFR",
                        2),
                Case.of("brackets alone are a name", "t,(one),[two]\n" + rows, ',', false, "t~(one)~[two]", "~~", 2),
                Case.of("a row of units", "t,one,two\ns,[λ],AFR\n" + rows, ',', false, "t~one~two", "s~λ~AFR", 3),
                Case.of("a row of units that is one short", "t,one,two\ns,λ\n" + rows, ',', false, "t~one~two", "s~λ~",
                        3),
                Case.of("words above a header are none of units",
                        "a drive on Monday,with rain,and wind\nt,one,two\n" + rows,
                        ',', false, "t~one~two", "~~", 3),
                Case.of("a header behind a comment sign", "# made by nobody\n# t,one,two\n" + rows, ',', false,
                        "t~one~two", "~~", 3),
                Case.of("a comment of other words", "t,one,two\n# a,b\n" + rows, ',', false,
                        "column 1~column 2~column 3", "~~", 3),
                Case.of("an empty line below the header", "t,one,two\n\n" + rows, ',', false, "t~one~two", "~~", 3),
                Case.of("a preamble with numbers", "speed,3\nt,one,two\n" + rows, ',', false, "t~one~two", "~~", 3),
                Case.of("holes and words", "t,gear,one,two\n0.0,N,0.95,\n0.1,N,,0.98\n0.2,N,0.99,1.00\n", ',', false,
                        "t~gear~one~two", "~~~", 2),
                Case.of("decimal commas", "t;one;two\n0,0;0,95;0,96\n0,1;0,97;1.5\n0,2;0,97;0,99\n", ';', true,
                        "t~one~two", "~~", 2),
                Case.of("as many points as commas", "t;one\n0,0;0.95\n0,1;0.97\n0,2;0.98\n", ';', false, "t~one", "~",
                        2),
                Case.of("tabs with commas inside", "t\tone\n0,0\t0,95\n0,1\t0,97\n0,2\t0,98\n", '\t', true, "t~one",
                        "~", 2),
                Case.of("blanks", "t  one   two\n0.0 0.95   0.96\n0.1 0.97 0.98\n 0.2 1 1\n", ' ', false, "t~one~two",
                        "~~", 2),
                Case.of("a separator in quotes", "t,\"one, two\"\n0.0,0.95\n0.1,0.97\n0.2,0.98\n", ',', false,
                        "t~one, two", "~", 2),
                Case.of("the last line cut in two", "t,one,two\n0.0,0.95,0.96\n0.1,0.97,0.98\n0.", ',', false,
                        "t~one~two", "~~", 2),
                Case.of("two lines in all", "t,one\n0.0,0.95\n", ',', false, "t~one", "~", 2),
                Case.of("Größe", "t,Größe\n0.0,1.1\n0.1,1.2\n0.2,1.3\n", ',', false, "t~Größe", "~", 2)
                        .in(Charset.forName("windows-1252")),
                marked, marked.in(StandardCharsets.UTF_16LE), marked.in(StandardCharsets.UTF_16BE));
    }

    @ParameterizedTest
    @MethodSource("cases")
    void rowsAndNamesAreFound(Case of) {
        LogShape shape = LogShape.of("log.csv", of.beginning());
        assertThat(shape.names()).isEqualTo(of.names());
        assertThat(shape.units()).isEqualTo(of.units());
        assertThat(List.of(shape.separator(), shape.decimalComma(), shape.firstLine()))
                .isEqualTo(List.of(of.separator(), of.comma(), of.firstLine()));
    }

    @ParameterizedTest
    @ValueSource(strings = {"only words\nand more, of them\n", "1\n2\n3\n", "# 1,2\n# 3,4\n",
            // One row that looks like numbers, and a letter after it.
            "1,2,3\nDear customer\nthe car\nis ready\nregards\n"})
    void whatHasNoRowsIsRefused(String text) {
        assertThatThrownBy(() -> LogShape.of("log.csv", text.getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(UnusableInput.class).hasMessageContaining("found no rows of numbers");
    }
}
