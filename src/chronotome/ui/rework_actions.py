"""The actions of hits: taken apart, chosen, placed, shaped, on another rhythm."""

from chronotome.session.slices import VALUES
from chronotome.ui.actions import Entry
from chronotome.ui.commands.choosing import BANDS
from chronotome.ui.commands.general import Commands
from chronotome.words import tr

LINES = (("1/4", 1.0), ("1/8", 0.5), ("1/16", 0.25), ("1/32", 0.125))


def rework_entries(commands: Commands) -> list[Entry]:
    """In the order of the menu Apart."""
    slices = commands.slices
    return [
        Entry("apart", "Apart", tr("Take apart at onsets"), "Ctrl+H", slices.at_onsets),
        Entry("apart-marks", "Apart", tr("Take apart at marks set by hand"), "", slices.at_marks),
        Entry("apart-bars", "Apart", tr("Take apart at every bar"), "", slices.at_bars),
        *(
            Entry(
                f"apart-{words.replace('/', '-')}",
                "Apart",
                tr("Take apart on lines of {0}", words),
                "",
                lambda step=step: slices.at_lines(step),  # type: ignore[misc]  # bound at once
            )
            for words, step in LINES
        ),
        Entry("apart-parts", "Apart", tr("Take apart into equal parts…"), "", slices.ask_parts),
        Entry("whole", "Apart", tr("Bring the recording back whole"), "Ctrl+Shift+H", slices.make_whole),
        Entry("keep-whole", "Apart", tr("Keep it as it was on a muted track"), "", slices.keep_copy),
        Entry(
            "fills",
            "Apart",
            tr("What rings before emptied places fills them"),
            "",
            slices.toggle_fills,
            lambda: slices.fills,
        ),
        Entry("", "Apart"),
        Entry("choose-alike", "Apart", tr("Choose hits that sound alike…"), "Shift+A", slices.choose_alike),
        *(
            Entry(
                f"choose-{band}",
                "Apart",
                tr("Choose the {0} hits", band),
                "",
                lambda number=number: slices.choose_band(number),  # type: ignore[misc]  # bound at once
            )
            for number, band in enumerate(BANDS)
        ),
        Entry("choose-louder", "Apart", tr("Choose hits louder than…"), "", slices.ask_louder),
        Entry("choose-every", "Apart", tr("Choose one hit of every few…"), "", slices.ask_every),
        Entry("choose-others", "Apart", tr("Choose the other hits"), "Ctrl+Shift+E", slices.choose_others),
        Entry("", "Apart"),
        Entry("swap", "Apart", tr("Swap two hits"), "Shift+X", slices.swap),
        Entry("shuffle", "Apart", tr("Shuffle the hits"), "", slices.shuffle),
        Entry("turn-order", "Apart", tr("Reverse the order of the hits"), "", slices.turn_order),
        Entry("hits-double", "Apart", tr("Double time"), "", lambda: slices.scale_time(0.5)),
        Entry(
            "hits-double-long",
            "Apart",
            tr("Double time, sounds half as long"),
            "",
            lambda: slices.scale_time(0.5, stretches=True),
        ),
        Entry("hits-half", "Apart", tr("Half time"), "", lambda: slices.scale_time(2.0)),
        Entry(
            "hits-half-long",
            "Apart",
            tr("Half time, sounds twice as long"),
            "",
            lambda: slices.scale_time(2.0, stretches=True),
        ),
        Entry("take-rhythm", "Apart", tr("Take the rhythm of…"), "", slices.ask_rhythm),
        Entry("share-bands", "Apart", tr("Lows of it, highs of…"), "", slices.ask_bands),
        Entry("all-bands", "Apart", tr("Hear all bands of it"), "", slices.all_bands),
        Entry("", "Apart"),
        Entry("roll", "Apart", tr("Roll the hits, or make them single"), "Shift+R", slices.toggle_roll),
        Entry("roll-hits", "Apart", tr("Make rolls into single hits"), "", slices.single_hits),
        Entry("scatter", "Apart", tr("Scatter: draw again"), "", slices.draw_again),
        Entry("keep-scatter", "Apart", tr("Scatter: keep what was drawn"), "", slices.keep_scatter),
        Entry(
            "by-tape",
            "Apart",
            tr("Pitch changes the length as well"),
            "",
            slices.toggle_tape,
            lambda: slices.is_tape,
        ),
        *(
            Entry(
                f"{name.replace(' ', '-')}-{'more' if by > 0 else 'less'}",
                "Apart",
                tr("Hits: {0} {1}", name, tr("more") if by > 0 else tr("less")),
                "",
                lambda name=name, by=by: slices.step_value(name, by),  # type: ignore[misc]  # bound at once
            )
            for name in VALUES
            for by in (1, -1)
        ),
        Entry("shape-ramp", "Apart", tr("Shape: a ramp from the first to the last"), "", slices.ramp),
        Entry("shape-more", "Apart", tr("Shape: a tenth more"), "", lambda: slices.scale_values(1.1)),
        Entry("shape-less", "Apart", tr("Shape: a tenth less"), "", lambda: slices.scale_values(1 / 1.1)),
        Entry("shape-usual", "Apart", tr("Shape: this value as recorded"), "", slices.usual),
        Entry(
            "as-recorded",
            "Apart",
            tr("Shape of the hits as recorded"),
            "Ctrl+Alt+Backspace",
            slices.as_recorded,
        ),
    ]
