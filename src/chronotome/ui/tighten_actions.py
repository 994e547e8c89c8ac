"""The actions of Tighten: recipes, hits by hand, noises, grooves, pairs, how sound is moved."""

from chronotome.dsp.hush import HushBy
from chronotome.session.check import Choice
from chronotome.ui.actions import Entry
from chronotome.ui.commands.general import Commands
from chronotome.ui.view_state import Evidence, ViewState
from chronotome.words import tr

SETTINGS = (
    ("strength", tr("Strength"), 0.05, tr("5 % more"), tr("5 % less"), "Alt+S", "Alt+Shift+S"),
    ("swing", tr("Swing"), 1.0, tr("more"), tr("less"), "", ""),
    ("leave_alone", tr("Leave alone"), 1.0, tr("1 ms more"), tr("1 ms less"), "", ""),
    ("timing", tr("Groove timing"), 0.05, tr("5 % more"), tr("5 % less"), "", ""),
    ("loudness", tr("Loudness"), 0.05, tr("5 % more"), tr("5 % less"), "", ""),
    ("stroke", tr("One stroke"), 5.0, tr("5 ms more"), tr("5 ms less"), "", ""),
    ("catch", tr("Catch range"), 0.05, tr("5 % more"), tr("5 % less"), "", ""),
    ("shift", tr("All lines"), 1.0, tr("1 ms later"), tr("1 ms earlier"), "", ""),
)
"""Settings of Tighten that keys move: name, words, step, what more and less are, their keys."""
MOVING_STEPS = (
    ("pitch-up", tr("Pitch: a semitone up"), "semitones", 1.0),
    ("pitch-down", tr("Pitch: a semitone down"), "semitones", -1.0),
    ("cents-up", tr("Pitch: 10 cents up"), "semitones", 0.1),
    ("cents-down", tr("Pitch: 10 cents down"), "semitones", -0.1),
    ("crossfade-more", tr("Gaps: crossfade 1 ms longer"), "crossfade", 1.0),
    ("crossfade-less", tr("Gaps: crossfade 1 ms shorter"), "crossfade", -1.0),
    ("bears-more", tr("Sound bears 0.05 more"), "bears", 0.05),
    ("bears-less", tr("Sound bears 0.05 less"), "bears", -0.05),
)


def tighten_entries(commands: Commands, view: ViewState) -> list[Entry]:
    """In the order of the menus Timing and Groove."""
    tighten, hits, noises = commands.tighten, commands.hits, commands.noises
    grooves, moving, rework = commands.grooves, commands.moving, commands.rework
    return [
        Entry(
            "own-recipe",
            "Timing",
            tr("Clip has a recipe of its own"),
            "",
            commands.toggle_own_recipe,
            lambda: commands.has_own_recipe,
        ),
        Entry(
            "own-moving",
            "Timing",
            tr("Clip is moved in a way of its own"),
            "",
            commands.toggle_own_moving,
            lambda: commands.has_own_moving,
        ),
        Entry("next-for", "Timing", tr("Recipe for: track, span, chosen hits"), "Shift+F", tighten.next_for),
        Entry(
            "clear-own",
            "Timing",
            tr("Remove the recipe of its own here"),
            "Shift+Backspace",
            tighten.clear_own,
        ),
        *(
            Entry(
                f"{name}-{side}",
                "Timing",
                f"{words}: {more if by > 0 else less}",
                keys if by > 0 else fewer,
                lambda name=name, by=by: tighten.step(name, by),  # type: ignore[misc]  # bound at once
            )
            for name, words, step, more, less, keys, fewer in SETTINGS
            for side, by in (("more", step), ("less", -step))
        ),
        Entry("grid-finer", "Timing", tr("Grid: finer"), "Alt+G", lambda: tighten.step_grid(1)),
        Entry("grid-coarser", "Timing", tr("Grid: coarser"), "Alt+Shift+G", lambda: tighten.step_grid(-1)),
        Entry("swing-as-played", "Timing", tr("Swing as played"), "", tighten.swing_as_played),
        Entry("grid-ruler", "Timing", tr("Grid: as the ruler shows"), "", tighten.as_ruler),
        Entry("next-feel", "Timing", tr("Grid: next feel"), "", tighten.next_feel),
        Entry(
            "next-swing-of", "Timing", tr("Swing of: grid, eighths, sixteenths"), "", tighten.next_swing_of
        ),
        Entry(
            "groove-scales", "Timing", tr("Groove: same ms, or share of a step"), "", tighten.toggle_scales
        ),
        Entry("", "Timing"),
        Entry("next-way", "Timing", tr("Move by: next way"), "", lambda: moving.next("by")),
        Entry("next-keeps", "Timing", tr("Keeps: next material"), "", lambda: moving.next("keeps")),
        Entry("next-fill", "Timing", tr("Gaps: next filling"), "", lambda: moving.next("fill")),
        Entry("next-crossing", "Timing", tr("Gaps: next curve"), "", lambda: moving.next("crossing")),
        *(
            Entry(
                name,
                "Timing",
                words,
                "",
                lambda field=field, by=by: moving.step(field, by),  # type: ignore[misc]  # bound at once
            )
            for name, words, field, by in MOVING_STEPS
        ),
        Entry(
            "keep-formants",
            "Timing",
            tr("Pitch: a voice keeps its colour"),
            "",
            moving.toggle_formants,
            lambda: moving.current.keeps_formants,
        ),
        Entry("", "Timing"),
        Entry("once-more", "Timing", tr("Once more: closer by as much again"), "Z", lambda: tighten.more(1)),
        Entry("once-less", "Timing", tr("Once less"), "Shift+Z", lambda: tighten.more(-1)),
        Entry("keep-variant", "Timing", tr("Keep the recipe as a variant…"), "V", tighten.ask_variant),
        Entry("next-variant", "Timing", tr("Next variant"), "Shift+V", tighten.next_variant),
        Entry("", "Timing"),
        Entry("choose-hits", "Timing", tr("Choose all hits"), "Ctrl+Shift+A", hits.choose_all),
        Entry("choose-late", "Timing", tr("Choose hits later than 20 ms"), "", lambda: hits.choose_late(1)),
        Entry(
            "choose-early", "Timing", tr("Choose hits earlier than 20 ms"), "", lambda: hits.choose_late(-1)
        ),
        Entry("choose-band", "Timing", tr("Choose hits of the same band"), "", hits.choose_band),
        Entry("mend", "Timing", tr("Mend the place to check"), "Ctrl+Return", hits.mend),
        Entry("accept", "Timing", tr("Accept the place as it is"), "Ctrl+.", hits.accept),
        Entry("hear-place", "Timing", tr("Hear two beats around the hit"), "Shift+N", hits.hear_place),
        Entry("", "Timing"),
        Entry("silence", "Timing", tr("Noise: silence it"), "D", lambda: noises.hush(HushBy.SILENCE)),
        Entry("fade-noise", "Timing", tr("Noise: fade it out"), "", lambda: noises.hush(HushBy.FADE)),
        Entry("lower-noise", "Timing", tr("Noise: 12 dB softer"), "", lambda: noises.hush(HushBy.LOWER)),
        Entry(
            "room-noise",
            "Timing",
            tr("Noise: room tone instead"),
            "Shift+D",
            lambda: noises.hush(HushBy.ROOM),
        ),
        Entry("noise-back", "Timing", tr("Noise: hear it again"), "Ctrl+Shift+D", noises.unhush),
        Entry("", "Timing"),
        Entry("tie-here", "Timing", tr("Warp marker here, neighbours held"), "Shift+I", hits.tie_here),
        Entry("hold", "Timing", tr("Hold the hits beside this one"), "Shift+K", hits.hold),
        Entry("free", "Timing", tr("Free the hits beside this one"), "Ctrl+Shift+K", hits.free),
        Entry(
            "holding",
            "Timing",
            tr("Moving a hit holds its neighbours"),
            "Ctrl+K",
            hits.toggle_holding,
            lambda: view.holds_neighbours,
        ),
        Entry("earlier", "Timing", tr("Nudge hits 1 ms earlier"), "Up", lambda: rework.up(1)),
        Entry("later", "Timing", tr("Nudge hits 1 ms later"), "Down", lambda: rework.up(-1)),
        Entry("far-earlier", "Timing", tr("Nudge hits 10 ms earlier"), "Shift+Up", lambda: rework.up(10)),
        Entry("far-later", "Timing", tr("Nudge hits 10 ms later"), "Shift+Down", lambda: rework.up(-10)),
        Entry(
            "to-earlier",
            "Timing",
            tr("Hit to the earlier line"),
            "Q",
            lambda: commands.decide(Choice.EARLIER),
        ),
        Entry("to-later", "Timing", tr("Hit to the later line"), "E", lambda: commands.decide(Choice.LATER)),
        Entry(
            "ripple-earlier",
            "Timing",
            tr("Hit and all after it a line earlier"),
            "Alt+Q",
            lambda: hits.to_line(-1, ripples=True),
        ),
        Entry(
            "ripple-later",
            "Timing",
            tr("Hit and all after it a line later"),
            "Alt+E",
            lambda: hits.to_line(1, ripples=True),
        ),
        Entry(
            "leave-hit", "Timing", tr("Leave the hit as played"), "W", lambda: commands.decide(Choice.LEAVE)
        ),
        Entry("reset-hit", "Timing", tr("Reset the chosen hits"), "Backspace", hits.reset),
        Entry("reset-hits", "Timing", tr("Reset all hits"), "Ctrl+Backspace", commands.reset_hits),
        *(
            Entry(
                f"lane-{each.name.lower()}",
                "Groove",
                tr("Show the lane {0}", each.words),
                f"Alt+{int(each) + 1}",
                lambda each=each: tighten.show_lane(each),  # type: ignore[misc]  # bound at once
                lambda each=each: view.evidence is each,  # type: ignore[misc]  # bound at once
            )
            for each in Evidence
        ),
        Entry("", "Groove"),
        Entry("next-groove", "Groove", tr("Next groove of the session"), "Ctrl+Alt+G", grooves.next_groove),
        Entry("take-groove", "Groove", tr("Take a groove from this track"), "Shift+G", grooves.take),
        Entry("take-groove-4", "Groove", tr("Take a groove of 4 bars"), "", lambda: grooves.take(4)),
        Entry("keep-groove", "Groove", tr("Keep the groove in the library"), "", grooves.keep),
        Entry("read-groove", "Groove", tr("Bring a groove file…"), "", grooves.ask_and_read),
        Entry("write-groove", "Groove", tr("Write the groove to a file…"), "", grooves.ask_and_write),
        Entry("", "Groove"),
        Entry("smooth-groove", "Groove", tr("Smooth"), "", grooves.smooth),
        Entry("mirror-groove", "Groove", tr("Mirror early and late"), "", grooves.mirror),
        Entry("rotate-back", "Groove", tr("Rotate a step earlier"), "", lambda: grooves.rotate(-1)),
        Entry("rotate-on", "Groove", tr("Rotate a step later"), "", lambda: grooves.rotate(1)),
        Entry("groove-1", "Groove", tr("Over 1 bar"), "", lambda: grooves.repeat(1)),
        Entry("groove-2", "Groove", tr("Over 2 bars"), "", lambda: grooves.repeat(2)),
        Entry("groove-4", "Groove", tr("Over 4 bars"), "", lambda: grooves.repeat(4)),
        Entry("remove-groove", "Groove", tr("Remove the groove"), "", grooves.remove),
        Entry("", "Groove"),
        Entry("break-pair", "Groove", tr("Break the pair"), "Ctrl+B", tighten.break_pair),
        Entry("pair-found", "Groove", tr("Pair the chosen hits as found"), "", tighten.forget_pairs),
        Entry("hear-pair", "Groove", tr("Hear both hits of a pair"), "Shift+H", hits.hear_place),
    ]
