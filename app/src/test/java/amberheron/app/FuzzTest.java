package amberheron.app;

import static amberheron.core.units.Phrase.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;

import amberheron.bench.ScpiMeter;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Origin;
import amberheron.core.freeair.AirOfDay;
import amberheron.core.freeair.AirRules;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.harness.WireColour;
import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.JobSummary;
import amberheron.core.job.Pair;
import amberheron.core.job.Shop;
import amberheron.core.job.Station;
import amberheron.core.mixture.Fuel;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.Diagnostician;
import amberheron.core.scaling.Expression;
import amberheron.core.scaling.LawText;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.Scaling;
import amberheron.core.scaling.SettingFinder;
import amberheron.core.scaling.SettingText;
import amberheron.core.trim.TrimSheet;
import amberheron.core.units.Dimension;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import amberheron.core.units.UnitChoice;
import amberheron.core.units.Unusable;
import amberheron.io.JobNumber;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.csv.ChartCsv;
import amberheron.io.csv.CheckPointCsv;
import amberheron.io.csv.LawCsv;
import amberheron.io.csv.SensorCsv;
import amberheron.io.csv.TrimCsv;
import amberheron.io.json.EntryKey;
import amberheron.io.json.FuelJson;
import amberheron.io.json.JobDocument;
import amberheron.io.json.LawJson;
import amberheron.io.json.LeftEntry;
import amberheron.io.json.Manifest;
import amberheron.io.json.PairJson;
import amberheron.io.json.ReaderJson;
import amberheron.io.json.ResultJson;
import amberheron.io.log.DriveLog;
import amberheron.io.log.LogFile;
import amberheron.io.pack.HandOverPack;
import amberheron.io.pack.HandOverSheet;
import amberheron.io.pack.ShopCard;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Whatever is read is either used, and then carried on into review and pack, or refused with a message that says what was
 * found: never an error of our own, never a figure that is no number. {@code -Dfuzz=1000000} is the long campaign.
 */
class FuzzTest {
    private static final List<String> CATALOGUES = List.of("controllers.json", "streams.json", "fuels.json",
            "laws.json",
            "readers.json", "wires.json");
    private static final int TRIES = Integer.getInteger("fuzz", 200);
    /** A pack is slow to make: of those that can be made, one in so many is. */
    private static final int PACKED = 150;
    private static final int MOST_FAULTS = 20;
    private static final String[] NASTY = {"1e308", "-1e308", "1e-300", "-0.0", "1e999", "NaN", "null", "true", "[]",
            "{}",
            "\"\"", "\"\\u0000\"", "\"\\ud800\"", "9".repeat(400), "\"" + "x".repeat(500) + "\"", "-1", "0", "1e6",
            "2147483648", "\"=1+1\"", "\"../../x\"", "\"..\"", "\"1/(v-2)\"", "\"v/0\"", "\"((((\""};

    @TempDir
    private Path folder = Path.of("");
    private final Random random = new Random(Long.getLong("fuzz.seed", 20260601L));
    private final Shop shop = Shop.of(Catalogue.shipped().laws());
    private int packed;
    /** A job with a drive that says something of the fuelling. */
    private @Nullable JobDocument driven;

    private Map<String, Consumer<Path>> readers() {
        Map<String, Consumer<Path>> all = new LinkedHashMap<>();
        all.put("job", this::job);
        all.put("law.json", file -> chain(LawJson.read(file), null, null));
        all.put("reader.json", file -> chain(null, ReaderJson.read(file), null));
        all.put("points.csv", file -> chain(null, null, CheckPointCsv.read(file)));
        all.put("fuel.json", file -> sound(String.valueOf(stoich(FuelJson.read(file)))));
        all.put("chart.csv", file -> assertThat(ChartCsv.write(ChartCsv.read(file))).startsWith("tag"));
        for (String name : CATALOGUES) {
            all.put(name, this::catalogue);
        }
        all.put("trims.csv", file -> {
            TrimSheet sheet = TrimCsv.read(file);
            Job job = Objects.requireNonNull(driven).job();
            Job told = job.withRoadTest(job.roadTest().withTrims(sheet));
            JobDocument kept = JobDocument.of(told);
            sound(new JobReview(JobDocument.parse("kept", kept.text()).job(), shop).trims().map(TrimCsv::write)
                    .orElse(""));
        });
        all.put("sensors.csv", file -> SensorCsv.read(file)
                .forEach(life -> sound(life.hoursADay() + " " + life.hoursAt(LocalDate.of(2030, 1, 1)) + life)));
        all.put("law.csv", file -> chain(LawCsv.read(file), null, null));
        all.put("boxes.csv", file -> {
            String typed = LawCsv.boxes(file);
            Catalogue.shipped().readers().forEach(r -> refusedOrNot(() -> chain(null,
                    r.withSetting(SettingText.parse(typed, r)), null)));
        });
        all.put("pair.json", file -> {
            Pair pair = PairJson.read(file);
            chain(pair.law(), pair.reader(), null);
            assertThat(PairJson.write(pair)).isNotEmpty();
        });
        all.put("left.entry", file -> assertThat(LeftEntry.read(file).bytes()).isNotEmpty());
        all.put("manifest.json",
                file -> assertThat(Manifest.parse("manifest", TextFiles.read(file, 1 << 20)).text()).isNotEmpty());
        all.put("log.csv", file -> {
            Catalogue catalogue = Catalogue.shipped();
            Job job = Job.empty("F").withLaw(catalogue.laws().getFirst()).withReader(catalogue.readers().getFirst());
            sound(DriveLog.read(job, LogFile.of(file), Map.of(), part -> {
            }).proved(job, Origin.UNRECORDED).proving().toString());
        });
        return all;
    }

    /** As a shop's own, under either name; what is refused there is said and the rest is used. */
    private void catalogue(Path file) {
        for (String name : CATALOGUES) {
            try {
                Path own = Files.createDirectories(folder.resolve("catalogue-" + name));
                Files.copy(file, own.resolve(name), StandardCopyOption.REPLACE_EXISTING);
                Catalogue with = Catalogue.withShop(own);
                with.faults().forEach(f -> assertThat(f).isNotBlank().doesNotContain("found ,"));
                with.controllers().forEach(c -> sound(AirRules.judge(FreeAirCheck.NONE.withController(c)
                        .withToday(AirOfDay.of(293.15, 0.5, 0)).withShownOxygen(0.2, null).withShownLambda(1.4, null),
                        null, 0.0068).toString()));
                with.streams().forEach(s -> sound(s.read("1;2;heating").toString()));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    private static double stoich(Fuel fuel) {
        return fuel.stoich();
    }

    private void job(Path file) {
        JobDocument document = JobDocument.read(file);
        Job job = document.job();
        JobReview review;
        try {
            review = new JobReview(job, shop);
        } catch (ArithmeticException | Unusable | IllegalArgumentException | IllegalStateException e) {
            fail("accepted, but cannot be worked out: " + e, e);
            return;
        }
        sound(JobSummary.of(review).toString());
        for (Station station : Station.values()) {
            for (Finding f : review.findings(station)) {
                sound(f.toString());
            }
        }
        sound(ResultJson.review(review));
        HandOverSheet sheet = HandOverSheet.of(review, UnitChoice.METRIC);
        sound(sheet.toString());
        if (++packed % PACKED == 1) {
            HandOverPack.write(document, review, UnitChoice.METRIC, ShopCard.NONE, folder.resolve("pack"));
        }
    }

    private void chain(@Nullable OutputLaw law, @Nullable Reader reader, @Nullable List<CheckPoint> points) {
        Catalogue catalogue = Catalogue.shipped();
        OutputLaw l = law == null ? catalogue.laws().getFirst() : law;
        Reader r = reader == null ? catalogue.readers().getFirst() : reader;
        List<CheckPoint> p = points == null
                ? List.of(new CheckPoint(1.0, null, 12.1, ""), new CheckPoint(3.5, null, 16.9, ""))
                : points;
        try {
            Scaling.report(l, r).ifPresent(report -> sound(ResultJson.scale(report, r)));
            Diagnosis diagnosis = Diagnostician.diagnose(l, r, p,
                    new Diagnostician.KnownLaws(catalogue.laws(), 14.7));
            sound(ResultJson.diagnosis(diagnosis, r));
        } catch (Unusable e) {
            // Each sound, but nothing in common: said by the commands.
            sound(String.valueOf(e.getMessage()));
        }
    }

    /** No figure that is no number reaches a screen, a probability or a file. */
    private static void sound(String text) {
        assertThat(text).doesNotContain("NaN").doesNotContain("Infinity").doesNotContain("∞");
    }

    private Map<String, byte[]> seeds() throws IOException {
        Map<String, byte[]> seeds = new LinkedHashMap<>();
        Path demo = Files.createDirectory(folder.resolve("demo"));
        try (var session = Demo.session(demo)) {
            for (String id : List.of("SB-014", "SB-015", "SB-016")) {
                session.open(id);
                if (session.review().trims().isPresent()) {
                    driven = session.document();
                }
                seeds.put("job " + id, session.document().bytes());
                seeds.put("left.entry", new LeftEntry("book", new EntryKey("writer", 3), session.document(), 4,
                        session.document(), List.of(new LeftEntry.Sent(new EntryKey("writer", 2), session.document())))
                        .bytes());
                seeds.put("manifest.json", Manifest.of(session.review(), "0YTK-SRFQ", null, Map.of("a", "b"),
                        Map.of(id + ".json", session.document().bytes())).text().getBytes(StandardCharsets.UTF_8));
            }
        }
        seeds.put("log.csv", log());
        seeds.put("trims.csv", TrimCsv.write(new JobReview(Objects.requireNonNull(driven).job(), shop).trims()
                .orElseThrow()).getBytes(StandardCharsets.UTF_8));
        seeds.put("sensors.csv", """
                sensor,date,kind,value,job
                V-07,2026-03-02,gain,0.991,SB-014
                V-07,2026-03-02,hours,310,SB-014
                V-07,2026-09-12,response,0.21,
                """.getBytes(StandardCharsets.UTF_8));
        OutputLaw law = Catalogue.shipped().laws().getFirst();
        Reader reader = Catalogue.shipped().readers().getFirst();
        ReaderSetting setting = SettingFinder.find(law, reader).orElseThrow();
        seeds.put("law.csv", LawCsv.write(law).getBytes(StandardCharsets.UTF_8));
        seeds.put("boxes.csv", LawCsv.write(setting, reader).getBytes(StandardCharsets.UTF_8));
        seeds.put("pair.json", PairJson.write(new Pair(law, null, reader.withSetting(setting), null))
                .getBytes(StandardCharsets.UTF_8));
        seeds.put("law.json", """
                {"kind": "linear", "quantity": "lambda", "points": [{"volts": 0.4, "value": 0.62},
                 {"volts": 4.6, "value": 1.38}], "volts": {"min": 0, "max": 5}}""".getBytes(StandardCharsets.UTF_8));
        seeds.put("reader.json", """
                {"form": "expression", "quantity": "afr", "stoich": 14.7, "decimals": 3,
                 "input": {"minVolts": 0, "maxVolts": 5, "bits": 10}, "setting": {"text": "2.66*v + 8.05"}}"""
                .getBytes(StandardCharsets.UTF_8));
        for (String name : CATALOGUES) {
            try (var in = Objects
                    .requireNonNull(Catalogue.class.getResourceAsStream("/amberheron/io/catalogue/" + name))) {
                seeds.put(name, in.readAllBytes());
            }
        }
        seeds.put("fuel.json", "{\"id\": \"x\", \"name\": \"X\", \"stoich\": 14.1}".getBytes(StandardCharsets.UTF_8));
        seeds.put("points.csv", "volts,true,shown,note\n1.0,,12.1,a\n3.5,17,16.9,\n".getBytes(StandardCharsets.UTF_8));
        seeds.put("chart.csv", "tag,work,from,colour,to,to pin\n1,analog +,controller,white/blue,logger,3\n"
                .getBytes(StandardCharsets.UTF_8));
        return seeds;
    }

    /** Two minutes of a drive, with what a logger writes beside the mixtures. */
    private static byte[] log() {
        StringBuilder rows = new StringBuilder("time,rpm,map,controller,reader\n");
        for (int i = 0; i < 480; i++) {
            double afr = 14.7 + 1.8 * Math.sin(i / 9.0);
            rows.append(say("%.2f,%.0f,%.1f,%.2f,%.2f%n", 0.25 * i, 1500 + 900 * Math.sin(i / 40.0),
                    60 + 25 * Math.sin(i / 33.0), afr, afr + 0.1));
        }
        return rows.toString().getBytes(StandardCharsets.UTF_8);
    }

    /** Whole rows of a table put elsewhere, lost or doubled, columns exchanged for others, another sign between them. */
    private byte[] rows(byte[] text) {
        List<String> lines = new ArrayList<>(new String(text, StandardCharsets.UTF_8).lines().toList());
        if (lines.size() < 3) {
            return text;
        }
        int at = random.nextInt(lines.size());
        int many = 1 + random.nextInt(Math.min(lines.size() - at, 60));
        List<String> some = new ArrayList<>(lines.subList(at, at + many));
        switch (random.nextInt(5)) {
            case 0 -> lines.removeAll(some);
            case 1 -> lines.addAll(random.nextInt(lines.size()), some);
            case 2 -> Collections.shuffle(lines.subList(at, at + many), random);
            case 3 -> lines.replaceAll(l -> l.replace(',', ";\t ".charAt(at % 3)));
            default -> lines.replaceAll(l -> {
                String[] cells = l.split(",", -1);
                cells[at % cells.length] = some.contains(l) ? NASTY[many % NASTY.length] : cells[at % cells.length];
                return String.join(",", cells);
            });
        }
        return String.join(many % 2 == 0 ? "\n" : "\r\n", lines).getBytes(StandardCharsets.UTF_8);
    }

    /** One to three changes: a value replaced by a nasty one, bytes flipped, cut out, or put in twice. */
    private byte[] mutated(byte[] seed) {
        byte[] now = seed;
        for (int n = 1 + random.nextInt(3); n > 0; n--) {
            now = switch (random.nextInt(5)) {
                case 0, 1 -> value(now);
                case 3 -> rows(now);
                case 2 -> {
                    byte[] flipped = now.clone();
                    if (flipped.length > 0) {
                        flipped[random.nextInt(flipped.length)] ^= (byte) (1 << random.nextInt(8));
                    }
                    yield flipped;
                }
                default -> cut(now);
            };
        }
        return now;
    }

    private byte[] value(byte[] text) {
        String words = new String(text, StandardCharsets.UTF_8);
        List<int[]> places = new ArrayList<>();
        var matcher = java.util.regex.Pattern.compile("(?<=[:,\\[ \n])(-?\\d[\\d.eE+-]*|\"[^\"\\n]*\"|true|false|null)")
                .matcher(words);
        while (matcher.find()) {
            places.add(new int[]{matcher.start(), matcher.end()});
        }
        if (places.isEmpty()) {
            return text;
        }
        int[] place = places.get(random.nextInt(places.size()));
        return (words.substring(0, place[0]) + NASTY[random.nextInt(NASTY.length)] + words.substring(place[1]))
                .getBytes(StandardCharsets.UTF_8);
    }

    private byte[] cut(byte[] text) {
        if (text.length < 4) {
            return text;
        }
        int from = random.nextInt(text.length - 2);
        int to = Math.min(text.length, from + 1 + random.nextInt(40));
        String words = new String(text, StandardCharsets.ISO_8859_1);
        String part = random.nextBoolean() ? "" : words.substring(from, to).repeat(2);
        return (words.substring(0, from) + part + words.substring(to)).getBytes(StandardCharsets.ISO_8859_1);
    }

    @Test
    void whateverIsReadIsUsedOrRefusedWithAReason() throws IOException {
        Map<String, byte[]> seeds = seeds();
        Map<String, Consumer<Path>> readers = readers();
        List<String> kinds = List.copyOf(seeds.keySet());
        List<AssertionError> faults = new ArrayList<>();
        int used = 0;
        for (int i = 0; i < TRIES; i++) {
            String kind = kinds.get(i % kinds.size());
            byte[] input = mutated(Objects.requireNonNull(seeds.get(kind)));
            Path file = Files.write(folder.resolve("input"), input);
            try {
                Objects.requireNonNull(readers.get(kind.startsWith("job ") ? "job" : kind)).accept(file);
                used++;
            } catch (UnusableInput e) {
                assertThat(e.getMessage()).as("%s %d", kind, i).isNotBlank().doesNotContain("found ,");
            } catch (RuntimeException | StackOverflowError | AssertionError e) {
                Path kept = Files.write(Files.createTempDirectory("heron-fuzz").resolve("input"), input);
                AssertionError fault = new AssertionError(kind + " " + i + ", kept as " + kept + ": " + e, e);
                faults.add(fault);
                if (faults.size() == MOST_FAULTS) {
                    break;
                }
            }
        }
        if (!faults.isEmpty()) {
            AssertionError all = new AssertionError(
                    faults.size() + " faults; the first: " + faults.getFirst().getMessage());
            faults.forEach(all::addSuppressed);
            throw all;
        }
        assertThat(used).as("some of it is usable, or nothing was tried").isGreaterThan(TRIES / 20);
    }

    /** What people type: understood or refused, never an error. */
    @Test
    void whateverIsTypedIsUnderstoodOrRefused() {
        Catalogue catalogue = Catalogue.shipped();
        String alphabet = "0123456789.,:/-+−eE vV()^*·×°λΩµ\"'mnkMcinftawg\u0000\uD800٣[]";
        for (int i = 0; i < TRIES * 10; i++) {
            StringBuilder typed = new StringBuilder();
            for (int n = random.nextInt(14); n > 0; n--) {
                typed.append(alphabet.charAt(random.nextInt(alphabet.length())));
            }
            String text = typed.toString();
            for (Dimension dimension : Dimension.values()) {
                Unit unit = UnitChoice.customary(dimension);
                QuantityField field = new QuantityField("Field", dimension, unit, unit.toSi(-1000), unit.toSi(1000));
                if (field.parse(text, 14.7) instanceof amberheron.core.units.Parsed.Value value) {
                    assertThat(value.si()).as(text).isFinite();
                }
            }
            refusedOrNot(() -> Expression.parse(text).breaks(0, 5));
            refusedOrNot(() -> LawText.says(LawText.parse(text, 0, 5, Optional.empty())));
            catalogue.readers().forEach(r -> refusedOrNot(() -> r.withSetting(SettingText.parse(text, r))));
            refusedOrNot(() -> JobNumber.of(text));
            refusedOrNot(() -> ScpiMeter.at(text, 1).close());
            assertThat(JobNumber.stem(text)).doesNotContain("/").isNotEqualTo("..").isNotEqualTo(".");
            assertThat(WireColour.parse(text)).isNotNull();
        }
    }

    private static void refusedOrNot(Runnable reads) {
        try {
            reads.run();
        } catch (Unusable e) {
            assertThat(e.getMessage()).contains("expected");
        }
    }
}
