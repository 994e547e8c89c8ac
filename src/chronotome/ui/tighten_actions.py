"""The actions of Tighten: recipes, hits by hand, noises, grooves, pairs, how sound is moved."""

from chronotome.dsp.hush import HushBy
from chronotome.session.check import Choice
from chronotome.ui.actions import Entry
from chronotome.ui.commands.general import Commands
from chronotome.ui.view_state import Evidence, ViewState

SETTINGS = (
    ("strength", "Strength", 0.05, "5 % more", "5 % less", "Alt+S", "Alt+Shift+S"),
    ("swing", "Swing", 1.0, "more", "less", "", ""),
    ("leave_alone", "Leave alone", 1.0, "1 ms more", "1 ms less", "", ""),
    ("timing", "Groove timing", 0.05, "5 % more", "5 % less", "", ""),
    ("loudness", "Loudness", 0.05, "5 % more", "5 % less", "", ""),
    ("stroke", "One stroke", 5.0, "5 ms more", "5 ms less", "", ""),
    ("catch", "Catch range", 0.05, "5 % more", "5 % less", "", ""),
    ("shift", "All lines", 1.0, "1 ms later", "1 ms earlier", "", ""),
)
"""Settings of Tighten that keys move: name, words, step, what more and less are, their keys."""
MOVING_STEPS = (
    ("pitch-up", "Pitch: a semitone up", "semitones", 1.0),
    ("pitch-down", "Pitch: a semitone down", "semitones", -1.0),
    ("cents-up", "Pitch: 10 cents up", "semitones", 0.1),
    ("cents-down", "Pitch: 10 cents down", "semitones", -0.1),
    ("crossfade-more", "Gaps: crossfade 1 ms longer", "crossfade", 1.0),
    ("crossfade-less", "Gaps: crossfade 1 ms shorter", "crossfade", -1.0),
    ("bears-more", "Sound bears 0.05 more", "bears", 0.05),
    ("bears-less", "Sound bears 0.05 less", "bears", -0.05),
)


def tighten_entries(commands: Commands, view: ViewState) -> list[Entry]:
    """In the order of the menus Timing and Groove."""
    tighten, hits, noises = commands.tighten, commands.hits, commands.noises
    grooves, moving, rework = commands.grooves, commands.moving, commands.rework
    return [
        Entry(
            "own-recipe",
            "Timing",
            "Clip has a recipe of its own",
            "",
            commands.toggle_own_recipe,
            lambda: commands.has_own_recipe,
        ),
        Entry(
            "own-moving",
            "Timing",
            "Clip is moved in a way of its own",
            "",
            commands.toggle_own_moving,
            lambda: commands.has_own_moving,
        ),
        Entry("next-for", "Timing", "Recipe for: track, span, chosen hits", "Shift+F", tighten.next_for),
        Entry(
            "clear-own", "Timing", "Remove the recipe of its own here", "Shift+Backspace", tighten.clear_own
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
        Entry("grid-finer", "Timing", "Grid: finer", "Alt+G", lambda: tighten.step_grid(1)),
        Entry("grid-coarser", "Timing", "Grid: coarser", "Alt+Shift+G", lambda: tighten.step_grid(-1)),
        Entry("grid-ruler", "Timing", "Grid: as the ruler shows", "", tighten.as_ruler),
        Entry("next-feel", "Timing", "Grid: next feel", "", tighten.next_feel),
        Entry("next-swing-of", "Timing", "Swing of: grid, eighths, sixteenths", "", tighten.next_swing_of),
        Entry("groove-scales", "Timing", "Groove: same ms, or share of a step", "", tighten.toggle_scales),
        Entry("", "Timing"),
        Entry("next-way", "Timing", "Move by: next way", "", lambda: moving.next("by")),
        Entry("next-keeps", "Timing", "Keeps: next material", "", lambda: moving.next("keeps")),
        Entry("next-fill", "Timing", "Gaps: next filling", "", lambda: moving.next("fill")),
        Entry("next-crossing", "Timing", "Gaps: next curve", "", lambda: moving.next("crossing")),
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
            "Pitch: a voice keeps its colour",
            "",
            moving.toggle_formants,
            lambda: moving.current.keeps_formants,
        ),
        Entry("", "Timing"),
        Entry("once-more", "Timing", "Once more: closer by as much again", "Z", lambda: tighten.more(1)),
        Entry("once-less", "Timing", "Once less", "Shift+Z", lambda: tighten.more(-1)),
        Entry("keep-variant", "Timing", "Keep the recipe as a variant…", "V", tighten.ask_variant),
        Entry("next-variant", "Timing", "Next variant", "Shift+V", tighten.next_variant),
        Entry("", "Timing"),
        Entry("choose-hits", "Timing", "Choose all hits", "Ctrl+Shift+A", hits.choose_all),
        Entry("choose-late", "Timing", "Choose hits later than 20 ms", "", lambda: hits.choose_late(1)),
        Entry("choose-early", "Timing", "Choose hits earlier than 20 ms", "", lambda: hits.choose_late(-1)),
        Entry("choose-band", "Timing", "Choose hits of the same band", "", hits.choose_band),
        Entry("mend", "Timing", "Mend the place to check", "Ctrl+Return", hits.mend),
        Entry("accept", "Timing", "Accept the place as it is", "Ctrl+.", hits.accept),
        Entry("hear-place", "Timing", "Hear two beats around the hit", "Shift+N", hits.hear_place),
        Entry("", "Timing"),
        Entry("silence", "Timing", "Noise: silence it", "D", lambda: noises.hush(HushBy.SILENCE)),
        Entry("fade-noise", "Timing", "Noise: fade it out", "", lambda: noises.hush(HushBy.FADE)),
        Entry("lower-noise", "Timing", "Noise: 12 dB softer", "", lambda: noises.hush(HushBy.LOWER)),
        Entry(
            "room-noise", "Timing", "Noise: room tone instead", "Shift+D", lambda: noises.hush(HushBy.ROOM)
        ),
        Entry("noise-back", "Timing", "Noise: hear it again", "Ctrl+Shift+D", noises.unhush),
        Entry("", "Timing"),
        Entry("tie-here", "Timing", "Warp marker here, neighbours held", "Shift+I", hits.tie_here),
        Entry("hold", "Timing", "Hold the hits beside this one", "Shift+K", hits.hold),
        Entry("free", "Timing", "Free the hits beside this one", "Ctrl+Shift+K", hits.free),
        Entry(
            "holding",
            "Timing",
            "Moving a hit holds its neighbours",
            "Ctrl+K",
            hits.toggle_holding,
            lambda: view.holds_neighbours,
        ),
        Entry("earlier", "Timing", "Nudge hits 1 ms earlier", "Up", lambda: rework.up(1)),
        Entry("later", "Timing", "Nudge hits 1 ms later", "Down", lambda: rework.up(-1)),
        Entry("far-earlier", "Timing", "Nudge hits 10 ms earlier", "Shift+Up", lambda: rework.up(10)),
        Entry("far-later", "Timing", "Nudge hits 10 ms later", "Shift+Down", lambda: rework.up(-10)),
        Entry(
            "to-earlier", "Timing", "Hit to the earlier line", "Q", lambda: commands.decide(Choice.EARLIER)
        ),
        Entry("to-later", "Timing", "Hit to the later line", "E", lambda: commands.decide(Choice.LATER)),
        Entry(
            "ripple-earlier",
            "Timing",
            "Hit and all after it a line earlier",
            "Alt+Q",
            lambda: hits.to_line(-1, ripples=True),
        ),
        Entry(
            "ripple-later",
            "Timing",
            "Hit and all after it a line later",
            "Alt+E",
            lambda: hits.to_line(1, ripples=True),
        ),
        Entry("leave-hit", "Timing", "Leave the hit as played", "W", lambda: commands.decide(Choice.LEAVE)),
        Entry("reset-hit", "Timing", "Reset the chosen hits", "Backspace", hits.reset),
        Entry("reset-hits", "Timing", "Reset all hits", "Ctrl+Backspace", commands.reset_hits),
        *(
            Entry(
                f"lane-{each.name.lower()}",
                "Groove",
                f"Show the lane {each.words}",
                f"Alt+{int(each) + 1}",
                lambda each=each: tighten.show_lane(each),  # type: ignore[misc]  # bound at once
                lambda each=each: view.evidence is each,  # type: ignore[misc]  # bound at once
            )
            for each in Evidence
        ),
        Entry("", "Groove"),
        Entry("next-groove", "Groove", "Next groove of the session", "Ctrl+Alt+G", grooves.next_groove),
        Entry("take-groove", "Groove", "Take a groove from this track", "Shift+G", grooves.take),
        Entry("take-groove-4", "Groove", "Take a groove of 4 bars", "", lambda: grooves.take(4)),
        Entry("keep-groove", "Groove", "Keep the groove in the library", "", grooves.keep),
        Entry("read-groove", "Groove", "Bring a groove file…", "", grooves.ask_and_read),
        Entry("write-groove", "Groove", "Write the groove to a file…", "", grooves.ask_and_write),
        Entry("", "Groove"),
        Entry("smooth-groove", "Groove", "Smooth", "", grooves.smooth),
        Entry("mirror-groove", "Groove", "Mirror early and late", "", grooves.mirror),
        Entry("rotate-back", "Groove", "Rotate a step earlier", "", lambda: grooves.rotate(-1)),
        Entry("rotate-on", "Groove", "Rotate a step later", "", lambda: grooves.rotate(1)),
        Entry("groove-1", "Groove", "Over 1 bar", "", lambda: grooves.repeat(1)),
        Entry("groove-2", "Groove", "Over 2 bars", "", lambda: grooves.repeat(2)),
        Entry("groove-4", "Groove", "Over 4 bars", "", lambda: grooves.repeat(4)),
        Entry("remove-groove", "Groove", "Remove the groove", "", grooves.remove),
        Entry("", "Groove"),
        Entry("break-pair", "Groove", "Break the pair", "Ctrl+B", tighten.break_pair),
        Entry("pair-found", "Groove", "Pair the chosen hits as found", "", tighten.forget_pairs),
        Entry("hear-pair", "Groove", "Hear both hits of a pair", "Shift+H", hits.hear_place),
    ]
