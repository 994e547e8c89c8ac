"""The actions of Tighten: recipes, hits by hand, noises, grooves, pairs, how sound is moved."""

from chronotome.dsp.mute_span import MuteMethod
from chronotome.session.check import Choice
from chronotome.ui.actions.actions import Entry
from chronotome.ui.commands.general import Commands
from chronotome.ui.state.view_state import ViewState
from chronotome.words import tr

SETTINGS = (
    ("strength", tr("Strength"), 0.05, tr("+5 %"), tr("−5 %"), "Alt+S", "Alt+Shift+S"),
    ("swing", tr("Swing"), 1.0, tr("more"), tr("less"), "", ""),
    ("leave_alone", tr("Tolerance"), 1.0, tr("+1 ms"), tr("−1 ms"), "", ""),
    ("timing", tr("Groove timing"), 0.05, tr("+5 %"), tr("−5 %"), "", ""),
    ("loudness", tr("Loudness"), 0.05, tr("+5 %"), tr("−5 %"), "", ""),
    ("stroke", tr("Flam window"), 5.0, tr("+5 ms"), tr("−5 ms"), "", ""),
    ("catch", tr("Attraction"), 0.05, tr("+5 %"), tr("−5 %"), "", ""),
    ("shift", tr("Grid shift"), 1.0, tr("+1 ms"), tr("−1 ms"), "", ""),
)
"""Settings of Tighten that keys move: name, words, step, what more and less are, their keys."""
MOVING_STEPS = (
    ("pitch-up", tr("Pitch: +1 semitone"), "semitones", 1.0),
    ("pitch-down", tr("Pitch: −1 semitone"), "semitones", -1.0),
    ("cents-up", tr("Pitch: +10 cents"), "semitones", 0.1),
    ("cents-down", tr("Pitch: −10 cents"), "semitones", -0.1),
    ("crossfade-more", tr("Crossfade: +1 ms"), "crossfade", 1.0),
    ("crossfade-less", tr("Crossfade: −1 ms"), "crossfade", -1.0),
    ("bears-more", tr("Stretch limit: +0.05"), "bears", 0.05),
    ("bears-less", tr("Stretch limit: −0.05"), "bears", -0.05),
)


def tighten_entries(commands: Commands, view: ViewState) -> list[Entry]:
    """What moves hits, and what they move to."""
    tighten, hits, noises = commands.tighten, commands.hits, commands.noises
    grooves, moving, rework = commands.grooves, commands.moving, commands.rework
    return [
        Entry(
            "own-recipe",
            tr("Use own settings"),
            "",
            commands.toggle_own_recipe,
            lambda: commands.has_own_recipe,
        ),
        Entry(
            "own-moving",
            tr("Use own method"),
            "",
            commands.toggle_own_moving,
            lambda: commands.has_own_moving,
        ),
        Entry("next-for", tr("Next scope"), "Shift+F", tighten.next_for),
        Entry(
            "clear-own",
            tr("Remove own settings"),
            "Shift+Backspace",
            tighten.clear_own,
        ),
        *(
            Entry(
                f"{name}-{side}",
                f"{words}: {more if by > 0 else less}",
                keys if by > 0 else fewer,
                lambda name=name, by=by: tighten.step(name, by),  # type: ignore[misc]  # bound at once
            )
            for name, words, step, more, less, keys, fewer in SETTINGS
            for side, by in (("more", step), ("less", -step))
        ),
        Entry("grid-finer", tr("Finer grid"), "Alt+G", lambda: tighten.step_grid(1)),
        Entry("grid-coarser", tr("Coarser grid"), "Alt+Shift+G", lambda: tighten.step_grid(-1)),
        Entry("swing-as-played", tr("Swing as played"), "", tighten.swing_as_played),
        Entry("grid-ruler", tr("Use ruler grid"), "", tighten.as_ruler),
        Entry("next-feel", tr("Next grid type"), "", tighten.next_feel),
        Entry("next-swing-of", tr("Next swing unit"), "", tighten.next_swing_of),
        Entry("groove-scales", tr("Switch groove offsets"), "", tighten.toggle_scales),
        Entry("next-way", tr("Next method"), "", lambda: moving.next("by")),
        Entry("next-keeps", tr("Next material"), "", lambda: moving.next("keeps")),
        Entry("next-fill", tr("Next gap fill"), "", lambda: moving.next("fill")),
        Entry("next-crossing", tr("Next crossfade curve"), "", lambda: moving.next("crossing")),
        *(
            Entry(
                name,
                words,
                "",
                lambda field=field, by=by: moving.step(field, by),  # type: ignore[misc]  # bound at once
            )
            for name, words, field, by in MOVING_STEPS
        ),
        Entry(
            "keep-formants",
            tr("Keep formants"),
            "",
            moving.toggle_formants,
            lambda: moving.current.keeps_formants,
        ),
        Entry("once-more", tr("Tighten again"), "Z", lambda: tighten.more(1)),
        Entry("once-less", tr("Tighten less"), "Shift+Z", lambda: tighten.more(-1)),
        Entry("keep-variant", tr("Save snapshot…"), "V", tighten.ask_variant),
        Entry("next-variant", tr("Next snapshot"), "Shift+V", tighten.next_variant),
        Entry("choose-hits", tr("Select all hits"), "Ctrl+Shift+A", hits.choose_all),
        Entry("choose-late", tr("Select late hits"), "", lambda: hits.choose_late(1)),
        Entry("choose-early", tr("Select early hits"), "", lambda: hits.choose_late(-1)),
        Entry("choose-band", tr("Select hits of band"), "", hits.choose_band),
        Entry("mend", tr("Apply suggested fix"), "Ctrl+Return", hits.mend),
        Entry("accept", tr("Accept place"), "Ctrl+.", hits.accept),
        Entry("hear-place", tr("Play around hit"), "Shift+N", hits.hear_place),
        Entry("silence", tr("Silence noise"), "D", lambda: noises.hush(MuteMethod.SILENCE)),
        Entry("fade-noise", tr("Fade out noise"), "", lambda: noises.hush(MuteMethod.FADE)),
        Entry("lower-noise", tr("Lower noise 12 dB"), "", lambda: noises.hush(MuteMethod.LOWER)),
        Entry(
            "room-noise",
            tr("Replace with room tone"),
            "Shift+D",
            lambda: noises.hush(MuteMethod.ROOM),
        ),
        Entry("noise-back", tr("Restore noise"), "Ctrl+Shift+D", noises.unhush),
        Entry("tie-here", tr("Add warp marker"), "Shift+I", hits.tie_here),
        Entry("hold", tr("Hold neighbours"), "Shift+K", hits.hold),
        Entry("free", tr("Release neighbours"), "Ctrl+Shift+K", hits.free),
        Entry(
            "holding",
            tr("Hold neighbours while dragging"),
            "Ctrl+K",
            hits.toggle_holding,
            lambda: view.holds_neighbours,
        ),
        Entry("earlier", tr("Nudge hits −1 ms"), "Up", lambda: rework.up(1)),
        Entry("later", tr("Nudge hits +1 ms"), "Down", lambda: rework.up(-1)),
        Entry("far-earlier", tr("Nudge hits −10 ms"), "Shift+Up", lambda: rework.up(10)),
        Entry("far-later", tr("Nudge hits +10 ms"), "Shift+Down", lambda: rework.up(-10)),
        Entry(
            "to-earlier",
            tr("Move to earlier line"),
            "Q",
            lambda: commands.decide(Choice.EARLIER),
        ),
        Entry("to-later", tr("Move to later line"), "E", lambda: commands.decide(Choice.LATER)),
        Entry(
            "ripple-earlier",
            tr("Ripple one line earlier"),
            "Ctrl+Alt+Q",
            lambda: hits.to_line(-1, ripples=True),
        ),
        Entry(
            "ripple-later",
            tr("Ripple one line later"),
            "Ctrl+Alt+E",
            lambda: hits.to_line(1, ripples=True),
        ),
        Entry("leave-hit", tr("Keep hit as played"), "W", lambda: commands.decide(Choice.LEAVE)),
        Entry("reset-hit", tr("Reset selected hits"), "Backspace", hits.reset),
        Entry("reset-hits", tr("Reset all hits"), "Ctrl+Backspace", commands.reset_hits),
        Entry("next-groove", tr("Next groove"), "Ctrl+Alt+G", grooves.next_groove),
        Entry("take-groove", tr("Extract groove"), "Shift+G", grooves.take),
        Entry("take-groove-4", tr("Extract 4-bar groove"), "", lambda: grooves.take(4)),
        Entry("keep-groove", tr("Save groove to library"), "", grooves.keep),
        Entry("read-groove", tr("Import groove…"), "", grooves.ask_and_read),
        Entry("write-groove", tr("Export groove…"), "", grooves.ask_and_write),
        Entry("smooth-groove", tr("Smooth groove"), "", grooves.smooth),
        Entry("mirror-groove", tr("Mirror groove timing"), "", grooves.mirror),
        Entry("rotate-back", tr("Rotate groove earlier"), "", lambda: grooves.rotate(-1)),
        Entry("rotate-on", tr("Rotate groove later"), "", lambda: grooves.rotate(1)),
        Entry("groove-1", tr("Groove length: 1 bar"), "", lambda: grooves.repeat(1)),
        Entry("groove-2", tr("Groove length: 2 bars"), "", lambda: grooves.repeat(2)),
        Entry("groove-4", tr("Groove length: 4 bars"), "", lambda: grooves.repeat(4)),
        Entry("remove-groove", tr("Remove groove"), "", grooves.remove),
        Entry("break-pair", tr("Unpair hits"), "Ctrl+B", tighten.break_pair),
        Entry("pair-found", tr("Reset pairs"), "", tighten.forget_pairs),
        Entry("hear-pair", tr("Play both paired hits"), "Shift+H", hits.hear_place),
    ]
