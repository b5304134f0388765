package amberheron.io.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Rows as loggers write them, and what is left out of them. */
class RowParserTest {
    /** Reads rows of three columns, a time and two values, of which the second value comes first. */
    private static RowParser.Chunk read(char separator, String rows, double timeFactor) {
        LogShape shape = new LogShape(StandardCharsets.UTF_8, separator, separator == ';',
                java.util.List.of("t", "a", "b", "c"), java.util.List.of("", "", "", ""), 1);
        RowParser parser = new RowParser(shape, 0, timeFactor, new int[]{2, 1});
        RowParser.Chunk chunk = parser.chunk();
        byte[] bytes = rows.getBytes(StandardCharsets.UTF_8);
        System.arraycopy(bytes, 0, chunk.room(bytes.length), 0, bytes.length);
        chunk.bytes[bytes.length] = 0;
        chunk.end = bytes.length;
        return parser.parse(chunk, 0);
    }

    private static String row(RowParser.Chunk chunk, int i) {
        return chunk.time[i] + " " + chunk.columns[1][i] + " " + chunk.columns[0][i];
    }

    @ParameterizedTest
    @CsvSource(delimiter = '~', quoteCharacter = '\'', ignoreLeadingAndTrailingWhitespace = false, value = {
            "1.5,2,3~1.5 2.0 3.0", "1.5,-2,+3~1.5 -2.0 3.0", "1,.5,5.~1.0 0.5 5.0", " 1, 2 , 3 ,x~1.0 2.0 3.0",
            "\"1\",\"2\",\"3\"~1.0 2.0 3.0", "1,\"2\",3,\"a,b\"~1.0 2.0 3.0", "1,2e1,3E-1~1.0 20.0 0.3",
            "1,,3~1.0 NaN 3.0", "1,nan,3~1.0 NaN 3.0", "1,N/A,---~1.0 NaN NaN", "1,null,-~1.0 NaN NaN",
            "1,2,3,4,5,6~1.0 2.0 3.0", "1,2~1.0 2.0 NaN", "2:03,2,3~123.0 2.0 3.0", "1:02:03.25,2,3~3723.25 2.0 3.0",
            "01:02:03,2,3~3723.0 2.0 3.0", "2026-05-01 1:02:03,2,3~3723.0 2.0 3.0",
            "2026-05-01T1:02:03.5Z,2,3~3723.5 2.0 3.0",
            "\"1:02\",2,3~62.0 2.0 3.0", "0:00.125,2,3~0.125 2.0 3.0"})
    void aRowIsTakenAsItStands(String written, String expected) {
        for (String end : new String[]{"\n", "\r\n"}) {
            RowParser.Chunk chunk = read(',', written + end + "9,8,7" + end, 1);
            assertThat(chunk.rows).as(written).isEqualTo(2);
            assertThat(row(chunk, 0)).as(written).isEqualTo(expected);
            assertThat(row(chunk, 1)).as("the row after " + written).isEqualTo("9.0 8.0 7.0");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"x,2,3", "1,zwei,3", "1,0x10,3", "1,2f,3", "1,1e31,3", "1,2,-1e31", "1,--5,3",
            "1:2:3:4,2,3",
            "1:0x,2,3", "1,Infinity,3", "NaN,2,3", ",2,3"})
    void aRowThatIsNoneIsLeftOutAndSaid(String written) {
        RowParser.Chunk chunk = read(',', "0,1,2\n" + written + "\n9,8,7\n", 1);
        assertThat(chunk.leftOut).isEqualTo(1);
        assertThat(chunk.rows).isEqualTo(2);
        assertThat(row(chunk, 1)).isEqualTo("9.0 8.0 7.0");
        assertThat(chunk.line[1]).isEqualTo(2);
        assertThat(chunk.faults).singleElement().satisfies(f -> {
            assertThat(f.line()).isEqualTo(1);
            int bad = written.matches("(x|1:|NaN|,).*") ? 1 : written.endsWith("e31") ? 3 : 2;
            assertThat(f.why()).startsWith("column " + bad + ": found “" + written.split(",", -1)[bad - 1] + "”")
                    .endsWith(bad == 1 ? "expected a time" : "expected a number");
        });
    }

    /** Of many bad rows the first are said, and of a long field its beginning. */
    @Test
    void whatIsSaidIsBounded() {
        String rows = IntStream.range(0, 50).mapToObj(i -> i + "," + "x".repeat(39 + i) + ",1\n")
                .collect(Collectors.joining());
        RowParser.Chunk chunk = read(',', rows, 1);
        assertThat(chunk.leftOut).isEqualTo(50);
        assertThat(chunk.faults).hasSize(20);
        assertThat(chunk.faults.get(1).why()).contains("“" + "x".repeat(40) + "”");
        assertThat(chunk.faults.get(2).why()).contains("“" + "x".repeat(40) + "…”");
        // Four hundred digits are a number, more are not worth the time.
        assertThat(read(',', "1,0." + "1".repeat(398) + ",3\n", 1).rows).isEqualTo(1);
        assertThat(read(',', "1,0." + "1".repeat(399) + ",3\n", 1).rows).isZero();
    }

    @Test
    void linesThatAreNoRowsAreCountedAndPassedOver() {
        RowParser.Chunk chunk = read(',', "# said\n\n  \r\n% a\n! b\n* c\n/ d\n   1,2,3\n", 1);
        assertThat(chunk.rows).isEqualTo(1);
        assertThat(chunk.leftOut).isZero();
        assertThat(chunk.lines).isEqualTo(8);
        assertThat(chunk.line[0]).isEqualTo(7);
    }

    /** A line without an end that lacks columns was being written; one that has them all counts. */
    @Test
    void aLineCutOffIsLeftOutWithoutAWord() {
        RowParser.Chunk cut = read(',', "1,2,3\n2,3", 1);
        assertThat(cut.rows).isEqualTo(1);
        assertThat(cut.leftOut).isEqualTo(1);
        assertThat(cut.faults).isEmpty();
        assertThat(read(',', "1,2,3\n2,3,4", 1).rows).isEqualTo(2);
    }

    /** What a row that is left out had said does not stand in the next. */
    @Test
    void aRowLeftOutLeavesNothingBehind() {
        RowParser.Chunk chunk = read(',', "x,5,6\n1,,\n", 1);
        assertThat(row(chunk, 0)).isEqualTo("1.0 NaN NaN");
    }

    @Test
    void blanksAndDecimalCommasApartAreRead() {
        assertThat(row(read(' ', "  1.5   2  3 \n", 1), 0)).isEqualTo("1.5 2.0 3.0");
        assertThat(row(read(' ', "1.5 2 3", 1), 0)).isEqualTo("1.5 2.0 3.0");
        assertThat(row(read(';', "1,5;2,25;3\n", 1), 0)).isEqualTo("1.5 2.25 3.0");
        assertThat(row(read('\t', "1.5\t\t3\n", 1), 0)).isEqualTo("1.5 NaN 3.0");
    }

    @Test
    void timesAreSecondsAndManyRowsHaveRoom() {
        String rows = IntStream.range(0, 1000).mapToObj(i -> i + "," + (i % 3 == 0 ? "" : "" + i) + ",1\n")
                .collect(Collectors.joining());
        RowParser.Chunk chunk = read(',', rows, 0.001);
        assertThat(chunk.rows).isEqualTo(1000);
        assertThat(Arrays.stream(chunk.time, 0, 1000).toArray())
                .isEqualTo(IntStream.range(0, 1000).mapToDouble(i -> i * 0.001).toArray());
        for (int i = 0; i < 1000; i++) {
            assertThat(chunk.columns[1][i]).isEqualTo(Float.valueOf(i % 3 == 0 ? Float.NaN : i));
        }
        assertThat(row(read(',', "\"5\",1,1\n", 0.001), 0)).startsWith("0.005 ");
    }
}
