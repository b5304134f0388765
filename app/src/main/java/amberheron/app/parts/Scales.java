package amberheron.app.parts;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Session;
import amberheron.core.mixture.MixtureScale;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** The scales a display may show a mixture on. */
public final class Scales {
    private Scales() {
    }

    /** λ, and the ratio of every fuel: a display made for one goes on showing its ratio with another in the tank. */
    public static List<MixtureScale> all(Session session) {
        return Stream.concat(Stream.of(MixtureScale.lambda()),
                session.catalogue().fuels().stream().map(f -> MixtureScale.afr(f.stoich())).distinct()
                        .sorted(Comparator.comparingDouble(s -> -s.fromLambda(1))))
                .toList();
    }

    /** Returns the words of a choice for it. */
    public static String words(MixtureScale scale) {
        return scale instanceof MixtureScale.Afr afr ? say("AFR, %.2f at λ 1", afr.stoich()) : "λ";
    }
}
