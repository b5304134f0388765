package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.cli.Ran;
import amberheron.app.session.Session;
import amberheron.core.drivelog.LogChannel;
import amberheron.core.units.UnitChoice;
import amberheron.io.book.JobBook;
import amberheron.io.json.JobDocument;
import amberheron.io.pack.HandOverPack;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import tools.jackson.databind.json.JsonMapper;

/** Runs the commands and writes the sheets in a made-up language, and says every word of ours in them; documents are as in any language. */
final class LanguageOfCommands {
    /** Names of commands are the same in every language. */
    private static final List<String> COMMANDS = List.of("", "scale", "diagnose", "place", "wire", "air", "prove",
            "review",
            "pack", "verify", "key", "book", "simulate", "catalogue", "demo", "pictures");

    private interface Part {
        void of(LanguageOfCommands walk) throws IOException;
    }

    private final MadeUpLanguage language = new MadeUpLanguage();
    private final Path home;
    private int looked;

    private LanguageOfCommands(Path home) {
        this.home = home;
    }

    /** Says each word that is unmarked, where it was said, and in the last line how many lines were looked at. */
    public static void main(String[] args) throws IOException {
        MadeUpLanguage.speak();
        int looked = 0;
        for (Part part : List.<Part>of(LanguageOfCommands::commands, LanguageOfCommands::refusals,
                LanguageOfCommands::helpAndManual, LanguageOfCommands::sheetsAndDocuments)) {
            LanguageOfCommands walk = new LanguageOfCommands(
                    Files.createDirectories(Path.of(args[0], "home-" + looked)));
            walk.demo();
            part.of(walk);
            looked += walk.looked;
        }
        System.out.println(looked);
        System.exit(0);
    }

    private void demo() throws IOException {
        Demo.copy(home);
        language.exempt(COMMANDS);
        language.exemptColumns(home.resolve("logs/SB-014-drive.csv"));
        language.exempt(List.of("heron", "streams"));
        language.exempt(Arrays.stream(LogChannel.values()).map(LogChannel::key).toList());
        try (JobBook book = JobBook.open(home.resolve("book.db"))) {
            for (String job : List.of("SB-014", "SB-015", "SB-016")) {
                String text = book.load(job).orElseThrow().document().text();
                language.exempt(MadeUpLanguage.texts(JsonMapper.shared().readTree(text)));
                Files.writeString(home.resolve(job + ".json"), text);
            }
        }
    }

    private String said(String... args) {
        Ran ran = Ran.of(home, args);
        return ran.out() + ran.err();
    }

    private void look(String where, String text) {
        text.lines().forEach(line -> {
            looked++;
            List<String> unmarked = language.unmarked(line);
            if (!unmarked.isEmpty()) {
                System.out.println(where + ": " + unmarked + " in “" + line.strip() + "”");
            }
        });
    }

    private String at(String name) {
        return home.resolve(name).toString();
    }

    private String file(String name, String text) throws IOException {
        return Files.writeString(home.resolve(name), text).toString();
    }

    private void commands() {
        for (String job : List.of("SB-014", "SB-015", "SB-016")) {
            for (String command : List.of("place", "wire", "air", "review")) {
                look(command + " " + job, said(command, at(job + ".json")));
            }
            look("prove " + job, said("prove", at(job + ".json"), at("logs/" + job + "-drive.csv")));
            look("pack " + job, said("pack", at(job + ".json"), "--out", at("packs/" + job)));
            look("verify " + job, said("verify", at("packs/" + job), at(job + ".json")));
        }
        look("book", said("book"));
        look("backup", said("book", "backup", at("copy.db")));
        look("move", said("book", "move", "SB-014", "--to", at("other.db")));
        look("key", said("key"));
    }

    private void refusals() throws IOException {
        String job = Files.readString(home.resolve("SB-016.json"));
        List<List<String>> wrong = new ArrayList<>(List.of(List.of("plaice"), List.of("place"),
                List.of("place", at("nowhere.json")), List.of("place", file("no.json", "{")),
                List.of("place", file("list.json", "[]")), List.of("place", file("job.json", "{\"format\": \"x\"}")),
                List.of("review", file("fuse.json", job.replaceAll("\"fuse\" ?: ?[^,]+", "\"fuse\": -4"))),
                List.of("review",
                        file("far.json", job.replaceAll("\"displacement\" ?: ?[^,]+", "\"displacement\": \"x\""))),
                List.of("prove", at("SB-016.json"), file("none.csv", "a,b\n1,2\n")),
                List.of("prove", at("SB-016.json"), at("SB-016.json")),
                List.of("prove", at("SB-016.json"), at("logs/SB-016-drive.csv"), "--map", "reader=nothing"),
                List.of("scale", "--law", "none", "--reader", "none"), List.of("scale"),
                List.of("simulate", "controller", "--port", "x"), List.of("catalogue", at("nowhere")),
                List.of("book", "restore", at("SB-016.json")), List.of("book", "use", "postgresql://a@[::1]:1/x"),
                List.of("verify", at("nowhere")), List.of("pack", at("SB-016.json"), "--out", "")));
        for (List<String> args : wrong) {
            language.exempt(args.stream().map(a -> a.substring(a.lastIndexOf('/') + 1)).toList());
            look(String.join(" ", args), names(said(args.toArray(String[]::new)).replaceAll("“[^”]*”", "")));
        }
    }

    /** What stands in capitals is a place for a value, and what begins with hyphens an option. */
    private void helpAndManual() {
        for (String command : COMMANDS) {
            look("help " + command, names(said(Stream.of(command, "--help").filter(a -> !a.isEmpty())
                    .toArray(String[]::new))));
        }
        look("man", names(said("man")));
    }

    private static String names(String help) {
        return help.replace("\\-", "-").replaceAll("\\\\f[BIR]", "").replaceAll("(?m)^\\.[A-Z]{2} [a-zA-Z ]*$", "")
                .replaceAll("(?<![a-z])--?[a-zA-Z]+|\\b[A-Z_]{2,}\\b|WxH|\\.csv|<\\w+>|(?m)^ +[a-z]+", "");
    }

    private void sheetsAndDocuments() throws IOException {
        try (Session session = Demo.empty(home)) {
            for (String id : List.of("SB-014", "SB-015", "SB-016")) {
                session.open(id);
                JobDocument document = session.document();
                assertThat(document.text()).as("the document").isEqualTo(Files.readString(home.resolve(id + ".json")));
                Path folder = Files.createDirectories(home.resolve("out-" + id));
                List<Path> files = new ArrayList<>(HandOverPack.write(document, session.review(), UnitChoice.METRIC,
                        session.preferences().card(), folder));
                files.forEach(f -> language.exempt(List.of(f.getFileName().toString())));
                for (Path file : files) {
                    String name = file.getFileName().toString();
                    if (name.endsWith(".html") || name.endsWith(".svg") || name.endsWith(".ics")) {
                        look(name, words(Files.readString(file)));
                    } else if (name.endsWith(".csv") && !name.endsWith("-setting.csv")) {
                        assertThat(Files.readString(file)).as(name).isEqualTo(letters(Files.readString(file)));
                    }
                }
            }
        }
    }

    /** What can be read of a page. */
    private static String words(String page) {
        return page.replaceAll("\r\n ", "").replace("\\,", ",").replaceAll("(?s)<style.*?</style>", "")
                .replaceAll("(?s)<[^>]*>", "\n")
                .replaceAll("&#39;|&quot;", "'").replaceAll("&[a-z]+;", " ")
                .replaceAll("(?m)^(BEGIN|END|VERSION|PRODID|UID|SEQUENCE|DTSTAMP|DTSTART|DTEND|TRIGGER|ACTION).*$", "")
                .replaceAll("(?m)^(SUMMARY|DESCRIPTION)", "");
    }

    private static String letters(String text) {
        return Arrays.stream(text.split("")).filter(c -> c.isEmpty() || c.charAt(0) < 0x100 || "–−⌀→λΩ≥≤°µ".contains(c))
                .reduce("", String::concat);
    }
}
