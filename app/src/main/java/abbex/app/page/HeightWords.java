package abbex.app.page;

import abbex.core.heights.Advertised;
import abbex.core.heights.Asked;
import abbex.core.heights.Height;
import abbex.core.heights.HeightFinding;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.PointMethod;
import abbex.core.heights.PromiseDoubt;
import abbex.core.heights.SheetState;
import abbex.core.heights.Slip;
import abbex.core.heights.Stage;
import abbex.core.heights.SubstituteBaseline;
import abbex.core.heights.Taken;
import abbex.core.heights.Way;
import org.springframework.stereotype.Component;

/** Words for heights and what is said of them. */
@Component
public class HeightWords extends Wording {
    public HeightWords() {
        of(Height.class, (height, words, reader) -> Numerals.text(height.read(), reader));
        of(
                Advertised.Range.class,
                (range, words, reader) -> range.single()
                        ? Numerals.text(range.least(), reader)
                        : Numerals.bare(range.least(), reader) + "–" + Numerals.text(range.most(), reader));
        of(
                MeasuringPoint.class,
                (spot, words, reader) -> words.word(spot.place(), reader) + ", " + words.word(spot.way(), reader));
        of(
                Asked.class,
                (asked, words, reader) ->
                        words.say(asked.repeat() ? "asked.again" : "asked", reader, "spot", asked.spot()));
        of(
                Taken.class,
                (taken, words, reader) -> taken.stage()
                        .map(stage -> words.say("taken", reader, "spot", taken.spot(), "stage", stage))
                        .orElseGet(() -> words.word(taken.spot(), reader)));
        of(
                Way.class,
                (way, words, reader) ->
                        way instanceof PointMethod own && own.named() ? own.name() : words.say("method." + way.code()));
        of(Stage.class, (stage, words, reader) -> Words.small(words.say("stage." + stage.name())));
        named(SheetState.Item.class, "item.");
        named(Slip.class, "slip.");
        named(HeightFinding.Side.class, "side.");
        named(PromiseDoubt.class, "doubt.");
        named(SubstituteBaseline.class, "standin.");
    }
}
