package amberheron.core.drivelog;

import java.util.List;
import java.util.Set;

/** What drives were found to be, for jobs that have had one. */
public final class Drives {
    /** Long enough everywhere; no more is known of it. */
    public static final DriveFound LONG = new DriveFound(null, 0, 0, null, List.of(), Set.of(), List.of(), List.of(),
            new Held(60, 5), null, null, null);

    private Drives() {
    }
}
