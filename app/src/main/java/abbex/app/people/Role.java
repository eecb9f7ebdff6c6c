package abbex.app.people;

/** What a person does in the shop. */
public enum Role {
    TECHNICIAN,
    LEAD,
    DESK
}
