package abbex.core.workcard;

import abbex.core.torque.Tightening;

/** What keeps a step from being ticked. */
public sealed interface Blocker {
    /** Another step comes first. */
    record Before(CardStep step) implements Blocker {}

    /** Something has to be true, and nobody has said that it is. */
    record Hold(int number, String text) implements Blocker {}

    record Missing(Step.Capture capture) implements Blocker {}

    record Loose(String key, Step.Fastener fastener, Tightening.State state) implements Blocker {}

    record OnBench(BenchPart part) implements Blocker {}

    /** Something was found while it was open, and the customer has not answered. */
    record Offer(String id, String text) implements Blocker {}

    /** A lock of a step that was put off or done another way: whether it is shut nobody has said. */
    record Unlocked(CardStep step, String text) implements Blocker {}
}
