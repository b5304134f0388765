package amberheron.core.wiring;

import amberheron.core.harness.Device;
import amberheron.core.harness.Wire;
import amberheron.core.harness.Work;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.wiring.GroundPlan.GroundSchool;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** The lines a conductor chart cannot do without, from readers, grounds and hook-ups. */
final class NeededWires {
    private NeededWires() {
    }

    static List<Wire> of(Wiring wiring, Set<ReaderKind> readers) {
        List<Wire> needed = new ArrayList<>();
        needed.add(wire(Work.POWER, Device.POWER));
        GroundPlan ground = wiring.ground();
        Device reader = wiring.signals().scaled(readers).map(Hookup::reader).or(() -> readers.stream().findFirst())
                .map(NeededWires::device).orElse(Device.GAUGE);
        GroundSchool school = ground.school();
        Device point = school == GroundSchool.BATTERY ? Device.BATTERY : Device.CHASSIS;
        Device signal = school == GroundSchool.READER ? reader : point;
        needed.add(wire(Work.HEATER_GROUND, ground.twoWires() ? point : signal));
        if (ground.twoWires() && readers.stream().anyMatch(ReaderKind::wired)) {
            needed.add(wire(Work.SIGNAL_GROUND, signal));
        }
        for (ReaderKind kind : readers) {
            Hookup hookup = wiring.signals().of(kind);
            Hookup.Form form = hookup.form();
            if (form == null || !kind.wired()) {
                continue;
            }
            Device to = device(kind);
            switch (form) {
                case SINGLE_ENDED -> needed.add(wire(Work.ANALOG, to));
                case DIFFERENTIAL -> {
                    needed.add(wire(Work.ANALOG, to));
                    needed.add(wire(Work.ANALOG_MINUS, to));
                }
                case NARROWBAND -> needed.add(wire(Work.NARROWBAND, to));
                case SERIAL -> {
                    needed.add(wire(Work.SERIAL, to));
                    needed.add(wire(Work.SERIAL_GROUND, to));
                }
                case CAN, DIAGNOSTIC_PORT -> {
                    needed.add(wire(Work.CAN_HIGH, to));
                    needed.add(wire(Work.CAN_LOW, to));
                }
            }
        }
        return List.copyOf(needed);
    }

    private static Wire wire(Work work, Device to) {
        return Wire.of("needed", work, Device.CONTROLLER, to);
    }

    private static Device device(ReaderKind kind) {
        return switch (kind) {
            case GAUGE -> Device.GAUGE;
            case LOGGER -> Device.LOGGER;
            case ECU -> Device.ECU;
            case STOCK_ECU -> Device.STOCK_ECU;
            case SOFTWARE -> Device.SOFTWARE;
            case DISPLAY, OWN -> Device.DISPLAY;
        };
    }
}
