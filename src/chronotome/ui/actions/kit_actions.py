"""The actions of kits and patterns."""

from collections.abc import Callable

from chronotome.session.patterns import Pattern
from chronotome.ui.actions.actions import Entry
from chronotome.ui.actions.learning import Learning
from chronotome.ui.commands.general import Commands
from chronotome.words import tr


def kit_entries(commands: Commands, learning: Learning, show_bound: Callable[[], None]) -> list[Entry]:
    """Keys, kits and patterns."""
    kits, patterns, playing = commands.kits, commands.patterns, commands.playing
    return [
        Entry("play-keys", tr("Play kit with keyboard"), "F8", playing.toggle, lambda: playing.is_on),
        Entry(
            "play-in",
            tr("Record pattern"),
            "Ctrl+Shift+R",
            playing.record,
            lambda: playing.is_recording,
        ),
        Entry("take-round-back", tr("Remove last pass"), "", playing.take_back),
        Entry(
            "by-ear",
            tr("Slice by ear"),
            "Shift+E",
            playing.toggle_by_ear,
            lambda: playing.is_by_ear,
        ),
        Entry("take", tr("Record take"), "Ctrl+F", playing.take, lambda: playing.is_taking),
        Entry(
            "hear-input",
            tr("Monitor input"),
            "",
            playing.hear_input,
            lambda: playing.is_hearing_input,
        ),
        Entry("input-delay", tr("Measure recording latency…"), "", playing.ask_delay),
        Entry("play-notes", tr("Play MIDI file…"), "", playing.ask_and_play_notes),
        Entry("midi-inputs", tr("MIDI inputs and clock…"), "", playing.ask_midi),
        Entry("learn-control", tr("Learn MIDI control"), "", learning.toggle, lambda: learning.is_on),
        Entry("bound-controls", tr("MIDI controls…"), "", show_bound),
        Entry("pads", tr("Pads"), "Ctrl+I", playing.show_pads),
        Entry("put-on-keys", tr("Create kit from hits"), "Ctrl+U", kits.put_on_keys),
        Entry("add-to-keys", tr("Add hits to kit"), "", kits.add_to_keys),
        Entry("kit-fits", tr("Fit kit to tempo"), "", kits.toggle_fits, lambda: kits.fits),
        Entry("declick", tr("Declick kit"), "", kits.declick),
        Entry("pattern", tr("Convert clip to pattern"), "Ctrl+P", patterns.write_recording),
        Entry("pattern-empty", tr("New empty pattern"), "Ctrl+Shift+P", patterns.write_empty),
        Entry("pattern-again", tr("Repeat pattern clip"), "", patterns.play_again),
        Entry("pattern-vary", tr("Vary pattern"), "Ctrl+Shift+V", patterns.vary),
        Entry("pattern-longer", tr("Double pattern length"), "", lambda: patterns.longer(2.0)),
        Entry("pattern-shorter", tr("Halve pattern length"), "", lambda: patterns.longer(0.5)),
        Entry("rounds-more", tr("Add cycle"), "", lambda: patterns.more_rounds(1)),
        Entry("rounds-fewer", tr("Remove cycle"), "", lambda: patterns.more_rounds(-1)),
        Entry("chance-again", tr("Redraw chance"), "", patterns.draw_again),
        Entry("chance-keep", tr("Keep this cycle"), "", patterns.keep_round),
        Entry("layer-up", tr("Add octave layer above"), "", lambda: patterns.layer(12.0)),
        Entry("layer-down", tr("Add octave layer below"), "", lambda: patterns.layer(-12.0)),
        Entry("layer-free", tr("Detach layer"), "", patterns.free),
        Entry("step-here", tr("Add step at playhead"), "Shift+S", patterns.set_here),
        Entry("step-up", tr("Move steps up"), "Alt+Shift+Up", lambda: patterns.by_row(-1)),
        Entry("step-down", tr("Move steps down"), "Alt+Shift+Down", lambda: patterns.by_row(1)),
        Entry("choose-same", tr("Select steps of slice"), "", patterns.choose_same),
        *(
            Entry(
                f"step-{name}-{'more' if by > 0 else 'less'}",
                tr("Step {0}: {1}", column.label.lower(), tr("more") if by > 0 else tr("less")),
                "",
                lambda name=name, by=by, column=column: patterns.shape(name, by * column.step),  # type: ignore[misc]  # bound at once
            )
            for name, column in Pattern.shaped.items()
            if column.shown is not None
            for by in (1, -1)
        ),
        Entry("pattern-open", tr("Open pattern…"), "", patterns.ask_and_read),
        Entry("pattern-save", tr("Save pattern with kit…"), "", patterns.ask_and_write),
        Entry("kit-sfz", tr("Export kit as SFZ…"), "", commands.handing.ask_kit),
        Entry("pattern-midi", tr("Export pattern as MIDI…"), "", commands.handing.ask_pattern),
    ]
