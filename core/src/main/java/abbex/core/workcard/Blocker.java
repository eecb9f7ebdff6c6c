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
}
