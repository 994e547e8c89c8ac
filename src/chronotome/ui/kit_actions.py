"""The actions of kits and patterns."""

from chronotome.ui.actions import Entry
from chronotome.ui.commands.general import Commands
from chronotome.ui.commands.others import OtherCommands
from chronotome.ui.commands.patterns import LABELS, STEP_BY
from chronotome.words import tr


def kit_entries(commands: Commands, others: OtherCommands) -> list[Entry]:
    """In the order of the menu Kit."""
    kits, patterns, playing = commands.kits, commands.patterns, commands.playing
    return [
        Entry("play-keys", "Kit", tr("Letters play the kit"), "F8", playing.toggle, lambda: playing.is_on),
        Entry(
            "play-in",
            "Kit",
            tr("Write down what is played"),
            "Ctrl+Shift+R",
            playing.record,
            lambda: playing.is_recording,
        ),
        Entry("take-round-back", "Kit", tr("Take the last round back"), "", playing.take_back),
        Entry(
            "by-ear",
            "Kit",
            tr("Keys cut by ear while it plays"),
            "Shift+E",
            playing.toggle_by_ear,
            lambda: playing.is_by_ear,
        ),
        Entry("take", "Recording", tr("Record a take"), "Ctrl+F", playing.take, lambda: playing.is_taking),
        Entry(
            "hear-input",
            "Recording",
            tr("Hear the input"),
            "",
            playing.hear_input,
            lambda: playing.is_hearing_input,
        ),
        Entry("input-delay", "Recording", tr("Measure the input’s delay…"), "", playing.ask_delay),
        Entry("play-notes", "Kit", tr("Play notes of a file…"), "", playing.ask_and_play_notes),
        Entry("midi-inputs", "Kit", tr("MIDI inputs and clock…"), "", playing.ask_midi),
        Entry("learn-control", "Kit", tr("Learn a control"), "", others.learn, lambda: others.learning.is_on),
        Entry("bound-controls", "Kit", tr("Bound controls…"), "", others.show_bound),
        Entry("pads", "Kit", tr("Pads for mouse and touch"), "Ctrl+I", playing.show_pads),
        Entry("", "Kit"),
        Entry("put-on-keys", "Kit", tr("Put the hits on keys"), "Ctrl+U", kits.put_on_keys),
        Entry("add-to-keys", "Kit", tr("Add hits to the kit"), "", kits.add_to_keys),
        Entry("kit-fits", "Kit", tr("Slices fit the song’s tempo"), "", kits.toggle_fits, lambda: kits.fits),
        Entry("", "Kit"),
        Entry("pattern", "Kit", tr("Write the clip as a pattern"), "Ctrl+P", patterns.write_recording),
        Entry("pattern-empty", "Kit", tr("New empty pattern"), "Ctrl+Shift+P", patterns.write_empty),
        Entry("pattern-again", "Kit", tr("Play the pattern once more"), "", patterns.play_again),
        Entry("pattern-vary", "Kit", tr("Vary the pattern"), "Ctrl+Shift+V", patterns.vary),
        Entry("pattern-longer", "Kit", tr("Pattern twice as long"), "", lambda: patterns.longer(2.0)),
        Entry("pattern-shorter", "Kit", tr("Pattern half as long"), "", lambda: patterns.longer(0.5)),
        Entry("rounds-more", "Kit", tr("One more round"), "", lambda: patterns.more_rounds(1)),
        Entry("rounds-fewer", "Kit", tr("One round fewer"), "", lambda: patterns.more_rounds(-1)),
        Entry("", "Kit"),
        Entry("chance-again", "Kit", tr("Chance: draw again"), "", patterns.draw_again),
        Entry("chance-keep", "Kit", tr("Chance: keep this round"), "", patterns.keep_round),
        Entry("layer-up", "Kit", tr("Layer an octave up"), "", lambda: patterns.layer(12.0)),
        Entry("layer-down", "Kit", tr("Layer an octave down"), "", lambda: patterns.layer(-12.0)),
        Entry("layer-free", "Kit", tr("Set the layer free"), "", patterns.free),
        Entry("", "Kit"),
        Entry("step-here", "Steps", tr("Set a step here"), "Shift+S", patterns.set_here),
        Entry("step-up", "Steps", tr("Steps a key up"), "Alt+Shift+Up", lambda: patterns.by_row(-1)),
        Entry("step-down", "Steps", tr("Steps a key down"), "Alt+Shift+Down", lambda: patterns.by_row(1)),
        Entry("choose-same", "Steps", tr("Choose all steps of the slice"), "", patterns.choose_same),
        *(
            Entry(
                f"step-{name}-{'more' if by > 0 else 'less'}",
                "Steps",
                tr("Steps: {0} {1}", LABELS[name].lower(), tr("more") if by > 0 else tr("less")),
                "",
                lambda name=name, by=by: patterns.shape(name, by * STEP_BY[name]),  # type: ignore[misc]  # bound at once
            )
            for name in STEP_BY
            for by in (1, -1)
        ),
        Entry("", "Kit"),
        Entry("pattern-open", "Kit", tr("Open a pattern…"), "", patterns.ask_and_read),
        Entry("pattern-save", "Kit", tr("Save the pattern with its kit…"), "", patterns.ask_and_write),
        Entry("kit-sfz", "Kit", tr("Write the kit as SFZ…"), "", commands.handing.ask_kit),
        Entry("pattern-midi", "Kit", tr("Write the pattern as MIDI…"), "", commands.handing.ask_pattern),
    ]
