"""The actions of hits: taken apart, chosen, placed, shaped, on another rhythm."""

from chronotome.session.slices import VALUES
from chronotome.ui.actions.actions import Entry
from chronotome.ui.commands.choosing import BANDS
from chronotome.ui.commands.general import Commands
from chronotome.words import tr

LINES = (("1/4", 1.0), ("1/8", 0.5), ("1/16", 0.25), ("1/32", 0.125))


def rework_entries(commands: Commands) -> list[Entry]:
    """Hits of clips that are sliced."""
    slices = commands.slices
    return [
        Entry("apart", tr("Slice at onsets"), "Ctrl+H", slices.at_onsets),
        Entry("apart-marks", tr("Slice at hand-set onsets"), "", slices.at_marks),
        Entry("apart-bars", tr("Slice at bars"), "", slices.at_bars),
        *(
            Entry(
                f"apart-{words.replace('/', '-')}",
                tr("Slice on {0} lines", words),
                "",
                lambda step=step: slices.at_lines(step),  # type: ignore[misc]  # bound at once
            )
            for words, step in LINES
        ),
        Entry("apart-parts", tr("Slice in equal parts…"), "", slices.ask_parts),
        Entry("whole", tr("Remove slicing"), "Ctrl+Shift+H", slices.make_whole),
        Entry("keep-whole", tr("Keep original, muted"), "", slices.keep_copy),
        Entry(
            "fills",
            tr("Fill gaps with tails"),
            "",
            slices.toggle_fills,
            lambda: slices.fills,
        ),
        Entry("choose-alike", tr("Select similar hits…"), "Shift+A", slices.choose_alike),
        *(
            Entry(
                f"choose-{band}",
                tr("Select {0} hits", band),
                "",
                lambda number=number: slices.choose_band(number),  # type: ignore[misc]  # bound at once
            )
            for number, band in enumerate(BANDS)
        ),
        Entry("choose-louder", tr("Select louder hits…"), "", slices.ask_louder),
        Entry("choose-every", tr("Select every nth hit…"), "", slices.ask_every),
        Entry("choose-others", tr("Invert selection"), "Ctrl+Shift+E", slices.choose_others),
        Entry("swap", tr("Swap two hits"), "Shift+X", slices.swap),
        Entry("shuffle", tr("Shuffle hits"), "", slices.shuffle),
        Entry("turn-order", tr("Reverse order"), "", slices.turn_order),
        Entry("hits-double", tr("Double time"), "", lambda: slices.scale_time(0.5)),
        Entry(
            "hits-double-long",
            tr("Double time, shorten hits"),
            "",
            lambda: slices.scale_time(0.5, stretches=True),
        ),
        Entry("hits-half", tr("Half time"), "", lambda: slices.scale_time(2.0)),
        Entry(
            "hits-half-long",
            tr("Half time, lengthen hits"),
            "",
            lambda: slices.scale_time(2.0, stretches=True),
        ),
        Entry("take-rhythm", tr("Copy rhythm from…"), "", slices.ask_rhythm),
        Entry("share-bands", tr("Combine lows and highs…"), "", slices.ask_bands),
        Entry("all-bands", tr("Restore all bands"), "", slices.all_bands),
        Entry("roll", tr("Toggle roll"), "Shift+R", slices.toggle_roll),
        Entry("roll-hits", tr("Expand rolls to hits"), "", slices.single_hits),
        Entry("scatter", tr("Redraw random values"), "", slices.draw_again),
        Entry("keep-scatter", tr("Keep random values"), "", slices.keep_scatter),
        Entry(
            "by-tape",
            tr("Pitch changes length"),
            "",
            slices.toggle_tape,
            lambda: slices.is_tape,
        ),
        *(
            Entry(
                f"{'hit-' * (name == 'loudness')}{name.replace(' ', '-')}-{'more' if by > 0 else 'less'}",
                tr("Hit {0}: {1}", name, tr("more") if by > 0 else tr("less")),
                "",
                lambda name=name, by=by: slices.step_value(name, by),  # type: ignore[misc]  # bound at once
            )
            for name in VALUES
            for by in (1, -1)
        ),
        Entry("shape-ramp", tr("Ramp values"), "", slices.ramp),
        Entry("shape-more", tr("Shape: +10 %"), "", lambda: slices.scale_values(1.1)),
        Entry("shape-less", tr("Shape: −10 %"), "", lambda: slices.scale_values(1 / 1.1)),
        Entry("shape-usual", tr("Reset value"), "", slices.usual),
        Entry(
            "as-recorded",
            tr("Reset shape"),
            "Ctrl+Shift+Backspace",
            slices.as_recorded,
        ),
    ]
