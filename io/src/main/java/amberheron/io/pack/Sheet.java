package amberheron.io.pack;

import static amberheron.core.units.Phrase.say;

import java.util.List;
import java.util.stream.IntStream;

/**
 * One printed sheet, every figure already in words.
 *
 * @param title whom it is for
 * @param code the short code of the job as it stood
 * @param standing how the links stand
 * @param first what was not done and what is stale: said before anything else
 * @param sections in the order of reading
 * @param photos what was attached as evidence, as far as it can be shown
 * @param signed whether it is signed for
 * @param by initials of who hands over; may be empty
 * @param caution the usual caution, for this engine and this heater
 */
public record Sheet(String title, String job, String vehicle, String fuel, String date, String code, ShopCard shop,
        HandOverSheet.Standing standing, List<String> first, List<Section> sections, List<Album.Shown> photos,
        boolean signed, String by, String caution) {
    /**
     * A part of it; each of these may be empty.
     *
     * @param facts name and value
     * @param head heads of the table's columns
     * @param rows of the table
     * @param drawing SVG
     * @param notes sentences
     */
    public record Section(String title, List<HandOverSheet.Fact> facts, List<String> head, List<List<String>> rows,
            String drawing, List<String> notes) {
        public Section {
            facts = List.copyOf(facts);
            head = List.copyOf(head);
            rows = List.copyOf(rows);
            notes = List.copyOf(notes);
        }

        static Section facts(String title, List<HandOverSheet.Fact> facts) {
            return new Section(title, facts, List.of(), List.of(), "", List.of());
        }

        static Section table(String title, List<String> head, List<List<String>> rows, String... notes) {
            return new Section(title, List.of(), head, rows, "", List.of(notes));
        }

        static Section notes(String title, List<String> notes) {
            return new Section(title, List.of(), List.of(), List.of(), "", notes);
        }

        static Section drawing(String title, String svg, String... notes) {
            return new Section(title, List.of(), List.of(), List.of(), svg, List.of(notes));
        }

        /** A cell with the head of its column, for a screen too narrow for a table. */
        public record Cell(String under, String text) {
        }

        /** Cells of the rows, each with its head; empty where its column has none. */
        public List<List<Cell>> cells() {
            return rows.stream().map(row -> IntStream.range(0, row.size())
                    .mapToObj(i -> new Cell(i < head.size() ? head.get(i) : "", row.get(i))).toList()).toList();
        }

        boolean empty() {
            return facts.isEmpty() && rows.isEmpty() && drawing.isEmpty() && notes.isEmpty();
        }
    }

    /** More parts than a page shows at a glance: then they are listed at the top. */
    private static final int GLANCE = 5;

    /** Whether its parts are listed at the top. */
    public boolean isLong() {
        return sections.size() > GLANCE;
    }

    /** Whether photos are shown. */
    public boolean hasPhotos() {
        return !photos.isEmpty();
    }

    /** Who hands over and when, or what is to be written there. */
    public String signature() {
        return by.isBlank() ? say("initials, date") : by + ", " + date;
    }

    public Sheet {
        first = List.copyOf(first);
        photos = List.copyOf(photos);
        sections = sections.stream().filter(s -> !s.empty()).toList();
    }
}
