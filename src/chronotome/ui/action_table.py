"""The one table of actions: name, menu, words, keys, and what each does."""

from typing import Protocol

from chronotome.dsp.hush import HushBy
from chronotome.session.check import Choice
from chronotome.session.edits.fitting import Following, Mend
from chronotome.ui.actions import Entry
from chronotome.ui.commands.fit import FOLLOWING_WORDS
from chronotome.ui.commands.general import Commands
from chronotome.ui.commands.mark_files import MarkFiles
from chronotome.ui.commands.session_files import SessionFiles
from chronotome.ui.commands.tour import Tour
from chronotome.ui.desk import Desk
from chronotome.ui.dialogs.messages import Messages
from chronotome.ui.timeline.lane import ZOOM_STEP
from chronotome.ui.view_state import Evidence, Stage

SHORT = {
    "lock": "Lock below",
    "lock-all": "Lock all",
    "make-guide": "Make guide",
    "unlock": "Unlock",
    "half-time": "Half time",
    "double-time": "Double time",
    "song-tempo": "At song’s tempo",
    "as-measured": "As measured",
    "fewer-bars": "−",
    "more-bars": "+",
    "half-bars": "÷ 2",
    "double-bars": "× 2",
    "mend-half": "Half",
    "mend-double": "Double",
    "mend-earlier": "Beat ←",
    "mend-later": "Beat →",
    "straighten": "Straighten the take",
    "use-measured": "Take recording’s",
    "halve": "Half",
    "double": "Double",
    "reset-hit": "Reset hit",
    "reset-hits": "Reset all",
    "loop": "Loop",
    "pull-loop": "Pull to attacks",
    "own-recording": "Own recording…",
    "click": "Click",
    "tour": "Tour",
    "export": "Export…",
    "tap": "Tap",
    "mute": "Mute",
    "solo": "Solo",
    "remove-track": "Remove track",
    "find-hits": "Find hits",
    "cut": "Cut here",
    "split-hits": "Every hit",
    "split-bars": "Every bar",
    "join": "Join",
    "duplicate": "Duplicate",
    "repeat": "Repeat…",
    "mute-clip": "Mute clip",
    "reverse-clip": "Reverse",
    "flip": "Flip phase",
    "add-track": "Add track",
    "as-found": "As found",
    "own-recipe": "Own recipe",
    "own-moving": "Moved its own way",
    "silence": "Silence",
    "room-noise": "Room tone",
    "noise-back": "Noise back",
    "once-more": "Once more",
    "once-less": "Once less",
    "clear-own": "Usual recipe",
    "keep-variant": "Keep variant…",
    "next-variant": "Next variant",
    "take-groove": "Take one",
    "keep-groove": "Keep",
    "break-pair": "Break",
    "hear-pair": "Hear both",
    "pair-found": "As found",
}
"""Words of buttons, which stand where it is plain what they are about."""


SETTINGS = (
    ("strength", "Strength", 0.05, "5 % more", "5 % less", "Alt+S", "Alt+Shift+S"),
    ("swing", "Swing", 1.0, "more", "less", "", ""),
    ("leave_alone", "Leave alone", 1.0, "1 ms more", "1 ms less", "", ""),
    ("timing", "Groove timing", 0.05, "5 % more", "5 % less", "", ""),
    ("loudness", "Loudness", 0.05, "5 % more", "5 % less", "", ""),
    ("shift", "All lines", 1.0, "1 ms later", "1 ms earlier", "", ""),
)
"""Settings of Tighten that keys move: name, words, step, what more and less are, their keys."""


class Front(Protocol):
    """What actions ask of the window itself."""

    @property
    def desk(self) -> Desk: ...
    @property
    def session_files(self) -> SessionFiles: ...
    @property
    def mark_files(self) -> MarkFiles: ...
    @property
    def messages(self) -> Messages: ...
    @property
    def tour(self) -> Tour: ...
    @property
    def is_shelf_shown(self) -> bool: ...
    def export(self) -> None: ...
    def quit(self) -> None: ...
    def undo(self) -> None: ...
    def redo(self) -> None: ...
    def edit_shortcuts(self) -> None: ...
    def calibrate(self) -> None: ...
    def rename_track(self) -> None: ...
    def toggle_shelf(self) -> None: ...
    def toggle_theme(self) -> None: ...
    def show_help(self) -> None: ...
    def playhead_x(self) -> float | None: ...


def table_of(window: Front, commands: Commands) -> list[Entry]:
    """Every action of the window, in the order of the menus."""
    tighten, hits, noises, grooves = commands.tighten, commands.hits, commands.noises, commands.grooves
    marks, fit, clips, loops, sections = (
        commands.marks,
        commands.fit,
        commands.clips,
        commands.loops,
        commands.sections,
    )
    desk, view, transport = window.desk, window.desk.view, window.desk.transport
    stages = [
        Entry(
            f"stage-{int(stage)}",
            "View",
            f"Stage {stage.words}",
            str(int(stage)),
            lambda stage=stage: view.show_stage(stage),  # type: ignore[misc]  # bound at once
            lambda stage=stage: view.stage is stage,  # type: ignore[misc]  # bound at once
        )
        for stage in Stage
    ]
    return [
        Entry("new", "Session", "New session", "Ctrl+N", window.session_files.new),
        Entry("open", "Session", "Open files…", "Ctrl+O", window.session_files.ask_and_open),
        Entry(
            "open-session",
            "Session",
            "Open session folder…",
            "Ctrl+Shift+O",
            window.session_files.open_folder,
        ),
        Entry("demo", "Session", "Open the demo", "", window.session_files.open_demo),
        Entry("find-missing", "Session", "Find missing recordings…", "", window.session_files.find_missing),
        Entry("", "Session"),
        Entry("save", "Session", "Save the session", "Ctrl+S", window.session_files.save),
        Entry("save-as", "Session", "Save the session as…", "Ctrl+Shift+S", window.session_files.save_as),
        Entry("export", "Session", "Export the sound…", "Ctrl+E", window.export),
        Entry("", "Session"),
        Entry("quit", "Session", "Quit Chronotome", "Ctrl+Q", window.quit),
        Entry("undo", "Edit", "Undo", "Ctrl+Z", window.undo),
        Entry("redo", "Edit", "Redo", "Ctrl+Shift+Z, Ctrl+Y", window.redo),
        Entry("", "Edit"),
        Entry("next-hit", "Edit", "Next hit", "Right", lambda: marks.step(1)),
        Entry("previous-hit", "Edit", "Previous hit", "Left", lambda: marks.step(-1)),
        Entry(
            "extend-next",
            "Edit",
            "Select up to the next hit",
            "Shift+Right",
            lambda: marks.step(1, is_extending=True),
        ),
        Entry(
            "extend-previous",
            "Edit",
            "Select back to the previous hit",
            "Shift+Left",
            lambda: marks.step(-1, is_extending=True),
        ),
        Entry("cut", "Edit", "Cut at the selected hit, or here", "X", commands.cut),
        Entry("keep-selection", "Edit", "Keep only the selection", "", marks.keep_selection),
        Entry("next-check", "Edit", "Next place to check", "N", commands.next_check),
        Entry("", "Edit"),
        Entry("shortcuts", "Edit", "Change shortcuts…", "", window.edit_shortcuts),
        Entry("mute", "Recording", "Mute the track", "M", commands.mute),
        Entry("solo", "Recording", "Hear only the track", "S", commands.solo),
        Entry("louder", "Recording", "Track louder by 1 dB", "Ctrl+Up", lambda: commands.level(1)),
        Entry("softer", "Recording", "Track softer by 1 dB", "Ctrl+Down", lambda: commands.level(-1)),
        Entry("lock", "Recording", "Lock with the track below", "Ctrl+L", commands.lock_with_next),
        Entry("lock-all", "Recording", "Lock all tracks to this one", "Ctrl+Shift+L", commands.lock_all),
        Entry("make-guide", "Recording", "Make the track the guide", "", commands.make_guide),
        Entry("unlock", "Recording", "Unlock the track", "", commands.unlock),
        Entry("write-fit", "Recording", "Write the fit beside the file", "", fit.write_beside),
        Entry("flip", "Recording", "Flip the track’s phase", "", commands.flip, commands.is_flipped),
        Entry("add-track", "Recording", "Add an empty track", "Ctrl+Shift+N", commands.add_track),
        Entry("track-up", "Recording", "Move the track up", "Alt+PgUp", lambda: commands.move_track(-1)),
        Entry("track-down", "Recording", "Move the track down", "Alt+PgDown", lambda: commands.move_track(1)),
        Entry("rename-track", "Recording", "Rename the track", "Shift+F2", window.rename_track),
        Entry("track-taller", "Recording", "Track’s lane taller", "Ctrl+Alt+Up", lambda: commands.resize(1)),
        Entry("track-lower", "Recording", "Track’s lane lower", "Ctrl+Alt+Down", lambda: commands.resize(-1)),
        Entry("fold", "Recording", "Fold or unfold the other tracks", "Ctrl+Alt+F", commands.fold_others),
        Entry("remove-track", "Recording", "Remove the track", "Ctrl+Delete", commands.remove_track),
        Entry("split-hits", "Clips", "Cut at every hit", "Ctrl+Shift+X", clips.split_at_hits),
        Entry("split-bars", "Clips", "Cut at every bar", "", clips.split_at_bars),
        Entry("join", "Clips", "Join clips", "Ctrl+J", clips.join),
        Entry("", "Clips"),
        Entry("duplicate", "Clips", "Duplicate the clip", "Ctrl+D", clips.duplicate),
        Entry("repeat", "Clips", "Repeat the clip…", "Ctrl+R", clips.ask_repeats),
        Entry("delete-close", "Clips", "Delete clip, close the gap", "Shift+Delete", clips.delete_and_close),
        Entry("cut-out", "Clips", "Cut out the clip", "Ctrl+X", lambda: clips.keep(is_cut=True)),
        Entry("copy", "Clips", "Copy the clip", "Ctrl+C", clips.keep),
        Entry("paste", "Clips", "Paste here", "Ctrl+V", clips.paste),
        Entry("choose-all", "Clips", "Choose all clips of the track", "Ctrl+A", clips.choose_all),
        Entry("", "Clips"),
        Entry("clip-earlier", "Clips", "Clip a line earlier", "Alt+Up", lambda: clips.by_line(-1)),
        Entry("clip-later", "Clips", "Clip a line later", "Alt+Down", lambda: clips.by_line(1)),
        Entry("rename-clip", "Clips", "Rename the clip…", "F2", clips.ask_name),
        Entry("reverse-clip", "Clips", "Reverse the clip", "R", clips.reverse),
        Entry("group", "Clips", "Group the chosen clips", "Ctrl+G", clips.group),
        Entry("ungroup", "Clips", "Ungroup the clips", "Ctrl+Shift+G", clips.ungroup),
        Entry("mute-clip", "Clips", "Mute the clip", "Shift+M", clips.mute),
        Entry("add-onset", "Marks", "Mark here, or by ear while it plays", "I, Insert", marks.add),
        Entry("keep-onset", "Marks", "Keep the onset", "K", marks.keep),
        Entry("drop-onset", "Marks", "Drop the onset; in Rework, delete clips", "Delete", commands.delete),
        Entry("lock-onset", "Marks", "Lock or free the onset", "O", marks.lock),
        Entry("hear-onset", "Marks", "Hear the selected hit", "H", marks.hear_selected),
        Entry("", "Marks"),
        Entry("frame-earlier", "Marks", "Move mark 1 frame earlier", ",", lambda: marks.nudge(frames=-1)),
        Entry("frame-later", "Marks", "Move mark 1 frame later", ".", lambda: marks.nudge(frames=1)),
        Entry(
            "mark-earlier",
            "Marks",
            "Move mark 1 ms earlier",
            "Alt+Left",
            lambda: marks.nudge(milliseconds=-1),
        ),
        Entry(
            "mark-later", "Marks", "Move mark 1 ms later", "Alt+Right", lambda: marks.nudge(milliseconds=1)
        ),
        Entry(
            "mark-far-earlier",
            "Marks",
            "Move mark 10 ms earlier",
            "Alt+Shift+Left",
            lambda: marks.nudge(milliseconds=-10),
        ),
        Entry(
            "mark-far-later",
            "Marks",
            "Move mark 10 ms later",
            "Alt+Shift+Right",
            lambda: marks.nudge(milliseconds=10),
        ),
        Entry("pull-onset", "Marks", "Pull mark to its attack", "P", marks.pull_to_attack),
        Entry("", "Marks"),
        Entry("find-hits", "Marks", "Find the hits", "", commands.find_hits),
        Entry("as-found", "Marks", "Forget marks set by hand", "", marks.as_found),
        Entry("import-marks", "Marks", "Import marks…", "", window.mark_files.ask_and_bring),
        Entry("export-marks", "Marks", "Export marks…", "", window.mark_files.ask_and_write),
        Entry("calibrate", "Marks", "Tap calibration…", "", window.calibrate),
        Entry("tap", "Timing", "Tap the beats", "T", fit.tap),
        Entry("beat-one", "Timing", "Beat one here", "B", fit.beat_one),
        Entry("bar-here", "Timing", "Bar … is here", "Shift+B", fit.ask_bar),
        Entry("", "Timing"),
        Entry("half-time", "Timing", "Halve the recording’s tempo", "", lambda: fit.scale(0.5)),
        Entry("double-time", "Timing", "Double the recording’s tempo", "", lambda: fit.scale(2.0)),
        Entry("song-tempo", "Timing", "Recording is at the song’s tempo", "", fit.at_song_tempo),
        Entry(
            "fewer-bars",
            "Timing",
            "Recording has one bar fewer",
            "Ctrl+Shift+Left",
            lambda: fit.more_bars(-1),
        ),
        Entry(
            "more-bars", "Timing", "Recording has one bar more", "Ctrl+Shift+Right", lambda: fit.more_bars(1)
        ),
        Entry("half-bars", "Timing", "Recording has half the bars", "", lambda: fit.bars_times(0.5)),
        Entry("double-bars", "Timing", "Recording has twice the bars", "", lambda: fit.bars_times(2.0)),
        Entry("as-measured", "Timing", "Take the fit as measured", "", fit.forget),
        Entry("", "Timing"),
        Entry("mend-half", "Timing", "Beats from this bar on: half", "", lambda: fit.mend(Mend.HALF)),
        Entry("mend-double", "Timing", "Beats from this bar on: double", "", lambda: fit.mend(Mend.DOUBLE)),
        Entry(
            "mend-earlier",
            "Timing",
            "Beats from this bar on: one earlier",
            "Shift+,",
            lambda: fit.mend(Mend.EARLIER),
        ),
        Entry(
            "mend-later",
            "Timing",
            "Beats from this bar on: one later",
            "Shift+.",
            lambda: fit.mend(Mend.LATER),
        ),
        Entry("", "Timing"),
        Entry(
            "follow-nobody",
            "Timing",
            FOLLOWING_WORDS[Following.NOBODY],
            "",
            lambda: fit.set_following(Following.NOBODY),
        ),
        Entry(
            "follow-song",
            "Timing",
            FOLLOWING_WORDS[Following.RECORDING],
            "",
            lambda: fit.set_following(Following.RECORDING),
        ),
        Entry(
            "lead-tempo",
            "Timing",
            FOLLOWING_WORDS[Following.SONG],
            "",
            lambda: fit.set_following(Following.SONG),
        ),
        Entry(
            "lead-grid",
            "Timing",
            FOLLOWING_WORDS[Following.GRID],
            "",
            lambda: fit.set_following(Following.GRID),
        ),
        Entry("straighten", "Timing", "Straighten the take", "G", fit.straighten),
        Entry("use-measured", "Timing", "Song takes tempo, metre and beat one", "U", fit.use_measured),
        Entry("halve", "Timing", "Halve the song’s tempo", "", lambda: fit.scale_song(0.5)),
        Entry("double", "Timing", "Double the song’s tempo", "", lambda: fit.scale_song(2.0)),
        Entry("", "Timing"),
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
        Entry("earlier", "Timing", "Nudge hits 1 ms earlier", "Up", lambda: hits.nudge(-1)),
        Entry("later", "Timing", "Nudge hits 1 ms later", "Down", lambda: hits.nudge(1)),
        Entry("far-earlier", "Timing", "Nudge hits 10 ms earlier", "Shift+Up", lambda: hits.nudge(-10)),
        Entry("far-later", "Timing", "Nudge hits 10 ms later", "Shift+Down", lambda: hits.nudge(10)),
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
        Entry("play", "Playback", "Play or stop", "Space", transport.toggle),
        Entry("return", "Playback", "Return to the start", "Home", transport.go_back),
        Entry("scrub-back", "Playback", "Scrub back", "Ctrl+Left", lambda: marks.scrub(-1)),
        Entry("scrub-on", "Playback", "Scrub on", "Ctrl+Right", lambda: marks.scrub(1)),
        Entry("bar-back", "Playback", "Back by a bar", "[", lambda: marks.jump(-1)),
        Entry("bar-on", "Playback", "On by a bar", "]", lambda: marks.jump(1)),
        Entry("far-back", "Playback", "Back by 8 bars", "Ctrl+[", lambda: marks.jump(-8)),
        Entry("far-on", "Playback", "On by 8 bars", "Ctrl+]", lambda: marks.jump(8)),
        Entry("loop-selection", "Playback", "Loop the selection", "Shift+L", marks.loop_selection),
        Entry("pull-loop", "Playback", "Pull the loop’s ends to attacks", "Shift+P", loops.pull_ends),
        Entry(
            "own-recording",
            "Playback",
            "Loop as a recording of its own…",
            "Ctrl+Shift+M",
            loops.ask_and_write,
        ),
        Entry("hear-join", "Playback", "Hear the loop go round", "J", marks.hear_join),
        Entry("loop", "Playback", "Play in a loop", "L", commands.loop, lambda: desk.session.is_looping),
        Entry(
            "click", "Playback", "Click on the beats", "C", commands.click, lambda: desk.session.click.is_on
        ),
        Entry("tour", "Playback", "Tour through the take", "Shift+T", window.tour.toggle),
        Entry("listen", "Playback", "Listen as played or edited", "A", commands.listen),
        Entry("", "Playback"),
        Entry("add-section", "Playback", "Name a section…", "Ctrl+M", sections.add),
        Entry("rename-section", "Playback", "Rename the section…", "", sections.rename),
        Entry("remove-section", "Playback", "Remove the section", "", sections.remove),
        Entry("next-section", "Playback", "Next section", "Ctrl+PgDown", lambda: sections.step(1)),
        Entry("previous-section", "Playback", "Previous section", "Ctrl+PgUp", lambda: sections.step(-1)),
        Entry("loop-section", "Playback", "Loop the section here", "", sections.loop),
        *stages,
        Entry("", "View"),
        Entry("shelf", "View", "Show the shelf", "Y", window.toggle_shelf, lambda: window.is_shelf_shown),
        Entry("zoom-in", "View", "Zoom in", "+, =", lambda: view.zoom(ZOOM_STEP, window.playhead_x())),
        Entry("zoom-out", "View", "Zoom out", "-", lambda: view.zoom(1 / ZOOM_STEP, window.playhead_x())),
        Entry("fit", "View", "Show the whole take", "F", view.fit),
        Entry("track-below", "View", "Go to the next track", "PgDown", lambda: view.focus_next(1)),
        Entry("track-above", "View", "Go to the previous track", "PgUp", lambda: view.focus_next(-1)),
        Entry(
            "night",
            "View",
            "Dark colours",
            "Ctrl+T",
            window.toggle_theme,
            lambda: view.theme.name == "night",
        ),
        Entry("help", "Help", "What marks and mouse mean", "F1", window.show_help),
        Entry("messages", "Help", "Show the messages", "", window.messages.show),
    ]
