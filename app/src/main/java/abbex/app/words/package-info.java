/**
 * The wording of Abbex: bundles in {@code words/}, one a station, each key in one of them only.
 *
 * <p>The rule, held by a test: plain trade English, as it is spoken over a fender.
 *
 * <ul>
 *   <li>A title is part + fault, six words at most.
 *   <li>A text is labelled numbers, likely cause, next act in the imperative; fifteen words a sentence.
 *   <li>The subject is a part or "you"; never "it" without a thing named before.
 *   <li>Acts are enter, save, delete, add, undo, measure, hand over.
 *   <li>An error is: Can't read "X". Enter ...
 *   <li>One glossary word an idea, the trade's: advertised drop, clearance, required clearance, full lock, bump, droop, roll,
 *       witness mark, baseline, set-down, settled, hub-centric, thread engagement, fitted, original, planned.
 *   <li>Never: nought, anew, reckon, wants, otherwise, would be right, is none, nobody, the box; no exclamation marks.
 *   <li>Sentence case, typographic apostrophes and quotation marks.
 * </ul>
 */
@NullMarked
package abbex.app.words;

import org.jspecify.annotations.NullMarked;
