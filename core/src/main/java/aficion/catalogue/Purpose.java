package aficion.catalogue;

/** What a wire is for, as far as colour schemes tell wires apart. */
public enum Purpose {
    EARTH,
    /** Live with the key off, no fuse before it. */
    LIVE,
    /** Live with the key off, behind a fuse. */
    FUSED,
    /** Live with the key on, no fuse behind the key. */
    IGNITION,
    /** Live with the key on, behind a fuse. */
    IGNITION_FUSED,
    /** From the light switch to the dip switch. */
    HEADLAMP,
    MAIN_BEAM,
    DIP_BEAM,
    /** Side, tail, plate and panel lamps. */
    SIDE,
    SIGNAL_LEFT,
    SIGNAL_RIGHT,
    STOP,
    HORN,
    /** From the charge warning lamp to the source. */
    CHARGE_LAMP,
    /** From the coil to what breaks its current. */
    COIL
}
