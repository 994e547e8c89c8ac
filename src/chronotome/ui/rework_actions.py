"""The actions of hits: taken apart, chosen, placed, shaped, on another rhythm."""

from chronotome.session.slices import VALUES
from chronotome.ui.actions import Entry
from chronotome.ui.commands.choosing import BANDS
from chronotome.ui.commands.general import Commands

LINES = (("1/4", 1.0), ("1/8", 0.5), ("1/16", 0.25), ("1/32", 0.125))


def rework_entries(commands: Commands) -> list[Entry]:
    """In the order of the menu Apart."""
    slices = commands.slices
    return [
        Entry("apart", "Apart", "Take apart at onsets", "Ctrl+H", slices.at_onsets),
        Entry("apart-marks", "Apart", "Take apart at marks set by hand", "", slices.at_marks),
        Entry("apart-bars", "Apart", "Take apart at every bar", "", slices.at_bars),
        *(
            Entry(
                f"apart-{words.replace('/', '-')}",
                "Apart",
                f"Take apart on lines of {words}",
                "",
                lambda step=step: slices.at_lines(step),  # type: ignore[misc]  # bound at once
            )
            for words, step in LINES
        ),
        Entry("apart-parts", "Apart", "Take apart into equal parts…", "", slices.ask_parts),
        Entry("whole", "Apart", "Bring the recording back whole", "Ctrl+Shift+H", slices.make_whole),
        Entry("keep-whole", "Apart", "Keep it as it was on a muted track", "", slices.keep_copy),
        Entry(
            "fills",
            "Apart",
            "What rings before emptied places fills them",
            "",
            slices.toggle_fills,
            lambda: slices.fills,
        ),
        Entry("", "Apart"),
        Entry("choose-alike", "Apart", "Choose hits that sound alike", "Shift+A", slices.choose_alike),
        *(
            Entry(
                f"choose-{band}",
                "Apart",
                f"Choose the {band} hits",
                "",
                lambda number=number: slices.choose_band(number),  # type: ignore[misc]  # bound at once
            )
            for number, band in enumerate(BANDS)
        ),
        Entry("choose-louder", "Apart", "Choose hits louder than…", "", slices.ask_louder),
        Entry("choose-every", "Apart", "Choose one hit of every few…", "", slices.ask_every),
        Entry("choose-others", "Apart", "Choose the other hits", "Ctrl+Shift+E", slices.choose_others),
        Entry("", "Apart"),
        Entry("swap", "Apart", "Swap two hits", "Shift+X", slices.swap),
        Entry("shuffle", "Apart", "Shuffle the hits", "", slices.shuffle),
        Entry("turn-order", "Apart", "Reverse the order of the hits", "", slices.turn_order),
        Entry("hits-double", "Apart", "Double time", "", lambda: slices.scale_time(0.5)),
        Entry(
            "hits-double-long",
            "Apart",
            "Double time, sounds half as long",
            "",
            lambda: slices.scale_time(0.5, stretches=True),
        ),
        Entry("hits-half", "Apart", "Half time", "", lambda: slices.scale_time(2.0)),
        Entry(
            "hits-half-long",
            "Apart",
            "Half time, sounds twice as long",
            "",
            lambda: slices.scale_time(2.0, stretches=True),
        ),
        Entry("take-rhythm", "Apart", "Take the rhythm of…", "", slices.ask_rhythm),
        Entry("share-bands", "Apart", "Lows of it, highs of…", "", slices.ask_bands),
        Entry("all-bands", "Apart", "Hear all bands of it", "", slices.all_bands),
        Entry("", "Apart"),
        Entry("roll", "Apart", "Roll the hits, or make them single", "Shift+R", slices.toggle_roll),
        Entry("roll-hits", "Apart", "Make rolls into single hits", "", slices.single_hits),
        Entry("scatter", "Apart", "Scatter: draw again", "", slices.draw_again),
        Entry("keep-scatter", "Apart", "Scatter: keep what was drawn", "", slices.keep_scatter),
        Entry(
            "by-tape",
            "Apart",
            "Pitch changes the length as well",
            "",
            slices.toggle_tape,
            lambda: slices.is_tape,
        ),
        *(
            Entry(
                f"{name.replace(' ', '-')}-{'more' if by > 0 else 'less'}",
                "Apart",
                f"Hits: {name} {'more' if by > 0 else 'less'}",
                "",
                lambda name=name, by=by: slices.step_value(name, by),  # type: ignore[misc]  # bound at once
            )
            for name in VALUES
            for by in (1, -1)
        ),
        Entry("shape-ramp", "Apart", "Shape: a ramp from the first to the last", "", slices.ramp),
        Entry("shape-more", "Apart", "Shape: a tenth more", "", lambda: slices.scale_values(1.1)),
        Entry("shape-less", "Apart", "Shape: a tenth less", "", lambda: slices.scale_values(1 / 1.1)),
        Entry("shape-usual", "Apart", "Shape: this value as recorded", "", slices.usual),
        Entry(
            "as-recorded", "Apart", "Shape of the hits as recorded", "Ctrl+Alt+Backspace", slices.as_recorded
        ),
    ]
