package abbex.core.workcard;

import abbex.core.torque.Tightening;

/** What happens to a card; the order is that in which it was written down. */
public sealed interface CardEvent {
    /** A hold of a step was looked at and is true. */
    record Held(String step, int hold) implements CardEvent {}

    /** A step was done. */
    record Ticked(String step) implements CardEvent {}

    /** A step is open again. */
    record Opened(String step) implements CardEvent {}

    /**
     * A step was done otherwise, or put off.
     *
     * @param limit what the vehicle must not do for it; empty where nothing
     */
    record Otherwise(String step, String reason, String limit) implements CardEvent {}

    record Captured(String step, String capture, String text) implements CardEvent {}

    /**
     * A part went somewhere.
     *
     * @param reason for what is left off
     */
    record Placed(String part, BenchPart.Fate fate, String reason) implements CardEvent {}

    /**
     * Something was found while it was open.
     *
     * @param id by which an answer names it
     * @param step in which it was found
     * @param price as it was written down; empty where none was
     * @param answer what the customer said to it there and then
     */
    record Found(String id, String step, String text, String price, CardFinding.Answer answer) implements CardEvent {}

    /**
     * The customer answered an offer.
     *
     * @param price as it was written down then; empty where it stays as it was
     */
    record Answered(String found, CardFinding.Answer answer, String price) implements CardEvent {}

    record Fastened(String fastener, Tightening.Event event) implements CardEvent {}
}
