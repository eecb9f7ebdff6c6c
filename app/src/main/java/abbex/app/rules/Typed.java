package abbex.app.rules;

import abbex.core.units.Length;

/** A length as typed, with its unit, and exact. */
public record Typed(String raw, Length length) {}
