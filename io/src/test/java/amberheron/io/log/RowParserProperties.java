package amberheron.io.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** A number is what the language takes it for, to the same bit, or its row is left out. */
class RowParserProperties {
    private static String number(Random random) {
        String sign = switch (random.nextInt(4)) {
            case 0 -> "-";
            case 1 -> "+";
            default -> "";
        };
        return sign + switch (random.nextInt(8)) {
            case 0 -> String.valueOf(Double.longBitsToDouble(random.nextLong() & Long.MAX_VALUE));
            case 1 -> new BigDecimal(random.nextDouble()).toPlainString();
            case 2 -> "0".repeat(random.nextInt(30)) + random.nextInt(1000) + "." + "0".repeat(random.nextInt(25))
                    + random.nextInt(1000);
            case 3 -> digits(random, 1 + random.nextInt(40));
            case 4 -> digits(random, 1 + random.nextInt(25)) + "." + digits(random, random.nextInt(25));
            case 5 -> "." + digits(random, 1 + random.nextInt(25));
            case 6 -> digits(random, 3) + "." + digits(random, 9) + "e" + (random.nextInt(640) - 320);
            default -> String.valueOf(random.nextInt(100_000) / 1000.0);
        };
    }

    private static String digits(Random random, int count) {
        StringBuilder all = new StringBuilder();
        for (int i = 0; i < count; i++) {
            all.append((char) ('0' + random.nextInt(10)));
        }
        return all.toString();
    }

    @Property(tries = 300)
    void aNumberIsTakenToTheSameBitOrItsRowIsLeftOut(@ForAll long seed) {
        Random random = new Random(seed);
        char point = random.nextBoolean() ? '.' : ',';
        List<String> numbers = new ArrayList<>();
        StringBuilder text = new StringBuilder("t;v\n0;0" + point + "5\n1;1" + point + "5\n");
        byte[] header = text.toString().getBytes(StandardCharsets.US_ASCII);
        for (int i = 0; i < 40; i++) {
            numbers.add(number(random));
            String written = numbers.getLast().replace('.', point);
            text.append(written).append(';').append(written).append('\n');
        }
        RowParser parser = new RowParser(LogShape.of("log", header), 0, 1, new int[]{1});
        RowParser.Chunk chunk = parser.chunk();
        byte[] bytes = text.toString().getBytes(StandardCharsets.US_ASCII);
        System.arraycopy(bytes, 0, chunk.room(bytes.length), 0, bytes.length);
        chunk.bytes[bytes.length] = 0;
        chunk.end = bytes.length;
        parser.parse(chunk, header.length);

        // Beyond 1e30 nothing is a reading, and single precision would make it infinite.
        List<Double> expected = numbers.stream().map(Double::parseDouble).filter(n -> Math.abs(n) <= 1e30).toList();
        List<Double> found = new ArrayList<>();
        List<Float> kept = new ArrayList<>();
        for (int i = 0; i < chunk.rows; i++) {
            found.add(chunk.time[i]);
            kept.add(chunk.columns[0][i]);
        }
        assertThat(kept).isEqualTo(expected.stream().map(Double::floatValue).toList());
        assertThat(found).isEqualTo(expected);
        assertThat(chunk.leftOut).isEqualTo(numbers.size() - expected.size());
    }
}
