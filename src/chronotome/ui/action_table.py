"""The one table of actions: name, menu, words, keys, and what each does."""

from typing import TYPE_CHECKING

from chronotome.session.checks import Choice
from chronotome.session.edits.fitting import Mend, Who
from chronotome.ui.actions import Entry
from chronotome.ui.commands import Commands
from chronotome.ui.fit_commands import WHO_LABELS
from chronotome.ui.timeline.lane import ZOOM_STEP
from chronotome.ui.view_state import Stage

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
    "as-found": "As found",
}
"""Words of buttons, which stand where it is plain what they are about."""

if TYPE_CHECKING:
    from chronotome.ui.main_window import MainWindow


def table_of(window: "MainWindow", c: Commands) -> list[Entry]:
    """Every action of the window, in the order of the menus."""
    m, f = c.marks, c.fit
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
        Entry("next-hit", "Edit", "Next hit", "Right", lambda: m.step(1)),
        Entry("previous-hit", "Edit", "Previous hit", "Left", lambda: m.step(-1)),
        Entry(
            "extend-next",
            "Edit",
            "Select up to the next hit",
            "Shift+Right",
            lambda: m.step(1, is_extending=True),
        ),
        Entry(
            "extend-previous",
            "Edit",
            "Select back to the previous hit",
            "Shift+Left",
            lambda: m.step(-1, is_extending=True),
        ),
        Entry("cut", "Edit", "Cut at the selected hit", "X", m.cut),
        Entry("keep-selection", "Edit", "Keep only the selection", "", m.keep_selection),
        Entry("next-check", "Edit", "Next place to check", "N", c.next_check),
        Entry("", "Edit"),
        Entry("shortcuts", "Edit", "Change shortcuts…", "", window.edit_shortcuts),
        Entry("mute", "Recording", "Mute the track", "M", c.mute),
        Entry("solo", "Recording", "Hear only the track", "S", c.solo),
        Entry("louder", "Recording", "Track louder by 1 dB", "Ctrl+Up", lambda: c.level(1)),
        Entry("softer", "Recording", "Track softer by 1 dB", "Ctrl+Down", lambda: c.level(-1)),
        Entry("lock", "Recording", "Lock with the track below", "Ctrl+L", c.lock_with_next),
        Entry("lock-all", "Recording", "Lock all tracks to this one", "Ctrl+Shift+L", c.lock_all),
        Entry("make-guide", "Recording", "Make the track the guide", "", c.make_guide),
        Entry("unlock", "Recording", "Unlock the track", "", c.unlock),
        Entry("write-fit", "Recording", "Write the fit beside the file", "", f.write_beside),
        Entry("remove-track", "Recording", "Remove the track", "Ctrl+Delete", c.remove_track),
        Entry("add-onset", "Marks", "Mark here, or by ear while it plays", "I, Insert", m.add),
        Entry("keep-onset", "Marks", "Keep the onset", "K", m.keep),
        Entry("drop-onset", "Marks", "Drop the onset", "Delete", m.drop),
        Entry("lock-onset", "Marks", "Lock or free the onset", "O", m.lock),
        Entry("hear-onset", "Marks", "Hear the selected hit", "H", m.hear_selected),
        Entry("", "Marks"),
        Entry("frame-earlier", "Marks", "Move mark 1 frame earlier", ",", lambda: m.nudge(frames=-1)),
        Entry("frame-later", "Marks", "Move mark 1 frame later", ".", lambda: m.nudge(frames=1)),
        Entry(
            "mark-earlier", "Marks", "Move mark 1 ms earlier", "Alt+Left", lambda: m.nudge(milliseconds=-1)
        ),
        Entry("mark-later", "Marks", "Move mark 1 ms later", "Alt+Right", lambda: m.nudge(milliseconds=1)),
        Entry(
            "mark-far-earlier",
            "Marks",
            "Move mark 10 ms earlier",
            "Alt+Shift+Left",
            lambda: m.nudge(milliseconds=-10),
        ),
        Entry(
            "mark-far-later",
            "Marks",
            "Move mark 10 ms later",
            "Alt+Shift+Right",
            lambda: m.nudge(milliseconds=10),
        ),
        Entry("pull-onset", "Marks", "Pull mark to its attack", "P", m.pull_to_attack),
        Entry("", "Marks"),
        Entry("find-hits", "Marks", "Find the hits", "", c.find_hits),
        Entry("as-found", "Marks", "Forget marks set by hand", "", m.as_found),
        Entry("import-marks", "Marks", "Import marks…", "", window.mark_files.ask_and_bring),
        Entry("export-marks", "Marks", "Export marks…", "", window.mark_files.ask_and_write),
        Entry("calibrate", "Marks", "Tap calibration…", "", window.calibrate),
        Entry("tap", "Timing", "Tap the beats", "T", f.tap),
        Entry("beat-one", "Timing", "Beat one here", "B", f.beat_one),
        Entry("bar-here", "Timing", "Bar … is here", "Shift+B", f.ask_bar),
        Entry("", "Timing"),
        Entry("half-time", "Timing", "Halve the recording’s tempo", "", lambda: f.scale(0.5)),
        Entry("double-time", "Timing", "Double the recording’s tempo", "", lambda: f.scale(2.0)),
        Entry("song-tempo", "Timing", "Recording is at the song’s tempo", "", f.at_song_tempo),
        Entry(
            "fewer-bars", "Timing", "Recording has one bar fewer", "Ctrl+Shift+Left", lambda: f.more_bars(-1)
        ),
        Entry(
            "more-bars", "Timing", "Recording has one bar more", "Ctrl+Shift+Right", lambda: f.more_bars(1)
        ),
        Entry("half-bars", "Timing", "Recording has half the bars", "", lambda: f.bars_times(0.5)),
        Entry("double-bars", "Timing", "Recording has twice the bars", "", lambda: f.bars_times(2.0)),
        Entry("as-measured", "Timing", "Take the fit as measured", "", f.forget),
        Entry("", "Timing"),
        Entry("mend-half", "Timing", "Beats from this bar on: half", "", lambda: f.mend(Mend.HALF)),
        Entry("mend-double", "Timing", "Beats from this bar on: double", "", lambda: f.mend(Mend.DOUBLE)),
        Entry(
            "mend-earlier",
            "Timing",
            "Beats from this bar on: one earlier",
            "Shift+,",
            lambda: f.mend(Mend.EARLIER),
        ),
        Entry(
            "mend-later", "Timing", "Beats from this bar on: one later", "Shift+.", lambda: f.mend(Mend.LATER)
        ),
        Entry("", "Timing"),
        Entry("follow-nobody", "Timing", WHO_LABELS[Who.NOBODY], "", lambda: f.set_who(Who.NOBODY)),
        Entry("follow-song", "Timing", WHO_LABELS[Who.RECORDING], "", lambda: f.set_who(Who.RECORDING)),
        Entry("lead-tempo", "Timing", WHO_LABELS[Who.SONG], "", lambda: f.set_who(Who.SONG)),
        Entry("lead-grid", "Timing", WHO_LABELS[Who.GRID], "", lambda: f.set_who(Who.GRID)),
        Entry("straighten", "Timing", "Straighten the take", "G", f.straighten),
        Entry("use-measured", "Timing", "Song takes tempo, metre and beat one", "U", f.use_measured),
        Entry("halve", "Timing", "Halve the song’s tempo", "", lambda: f.scale_song(0.5)),
        Entry("double", "Timing", "Double the song’s tempo", "", lambda: f.scale_song(2.0)),
        Entry("", "Timing"),
        Entry("earlier", "Timing", "Nudge hit 1 ms earlier", "Up", lambda: c.nudge(-1)),
        Entry("later", "Timing", "Nudge hit 1 ms later", "Down", lambda: c.nudge(1)),
        Entry("to-earlier", "Timing", "Hit to the earlier line", "Q", lambda: c.decide(Choice.EARLIER)),
        Entry("to-later", "Timing", "Hit to the later line", "E", lambda: c.decide(Choice.LATER)),
        Entry("leave-hit", "Timing", "Leave the hit as played", "W", lambda: c.decide(Choice.LEAVE)),
        Entry("reset-hit", "Timing", "Reset the hit", "Backspace", c.reset_hit),
        Entry("reset-hits", "Timing", "Reset all hits", "Ctrl+Backspace", c.reset_hits),
        Entry("play", "Playback", "Play or stop", "Space", transport.toggle),
        Entry("return", "Playback", "Return to the start", "Home", transport.go_back),
        Entry("scrub-back", "Playback", "Scrub back", "Ctrl+Left", lambda: m.scrub(-1)),
        Entry("scrub-on", "Playback", "Scrub on", "Ctrl+Right", lambda: m.scrub(1)),
        Entry("bar-back", "Playback", "Back by a bar", "[", lambda: m.jump(-1)),
        Entry("bar-on", "Playback", "On by a bar", "]", lambda: m.jump(1)),
        Entry("far-back", "Playback", "Back by 8 bars", "Ctrl+[", lambda: m.jump(-8)),
        Entry("far-on", "Playback", "On by 8 bars", "Ctrl+]", lambda: m.jump(8)),
        Entry("loop-selection", "Playback", "Loop the selection", "Shift+L", m.loop_selection),
        Entry("pull-loop", "Playback", "Pull the loop’s ends to attacks", "Shift+P", c.loops.pull_ends),
        Entry(
            "own-recording",
            "Playback",
            "Loop as a recording of its own…",
            "Ctrl+Shift+M",
            c.loops.ask_and_write,
        ),
        Entry("hear-join", "Playback", "Hear the loop go round", "J", m.hear_join),
        Entry("loop", "Playback", "Play in a loop", "L", c.loop, lambda: desk.session.is_looping),
        Entry("click", "Playback", "Click on the beats", "C", c.click, lambda: desk.session.click.is_on),
        Entry("tour", "Playback", "Tour through the take", "Shift+T", window.tour.toggle),
        Entry("listen", "Playback", "Listen as played or edited", "A", c.listen),
        Entry("", "Playback"),
        Entry("add-section", "Playback", "Name a section…", "Ctrl+M", c.sections.add),
        Entry("rename-section", "Playback", "Rename the section…", "", c.sections.rename),
        Entry("remove-section", "Playback", "Remove the section", "", c.sections.remove),
        Entry("next-section", "Playback", "Next section", "Ctrl+PgDown", lambda: c.sections.step(1)),
        Entry("previous-section", "Playback", "Previous section", "Ctrl+PgUp", lambda: c.sections.step(-1)),
        Entry("loop-section", "Playback", "Loop the section here", "", c.sections.loop),
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
