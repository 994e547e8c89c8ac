"""The one table of actions: name, menu, words, keys, and what each does."""

from typing import Protocol

from chronotome.session.edits.fitting import Following, Mend
from chronotome.ui.actions import Entry
from chronotome.ui.beside import Beside
from chronotome.ui.commands.fit import FOLLOWING_WORDS
from chronotome.ui.commands.general import Commands
from chronotome.ui.commands.mark_files import MarkFiles
from chronotome.ui.commands.others import IN_TIME_WORDS, OtherCommands
from chronotome.ui.commands.session_files import SessionFiles
from chronotome.ui.commands.tour import Tour
from chronotome.ui.desk import Desk
from chronotome.ui.dialogs.messages import Messages
from chronotome.ui.kit_actions import kit_entries
from chronotome.ui.rework_actions import rework_entries
from chronotome.ui.tighten_actions import tighten_entries
from chronotome.ui.timeline.lane import ZOOM_STEP
from chronotome.ui.view_state import Stage
from chronotome.words import tr

SHORT = {
    "lock": tr("Lock below"),
    "lock-all": tr("Lock all"),
    "make-guide": tr("Make guide"),
    "unlock": tr("Unlock"),
    "half-time": tr("Half time"),
    "double-time": tr("Double time"),
    "song-tempo": tr("At song’s tempo"),
    "as-measured": tr("As measured"),
    "fewer-bars": "−",
    "more-bars": "+",
    "half-bars": "÷ 2",
    "double-bars": "× 2",
    "mend-half": tr("Half"),
    "mend-double": tr("Double"),
    "mend-earlier": tr("Beat ←"),
    "mend-later": tr("Beat →"),
    "straighten": tr("Straighten the take"),
    "use-measured": tr("Take recording’s"),
    "halve": tr("Half"),
    "double": tr("Double"),
    "reset-hit": tr("Reset hit"),
    "reset-hits": tr("Reset all"),
    "loop": tr("Loop"),
    "pull-loop": tr("Pull to attacks"),
    "own-recording": tr("Own recording…"),
    "click": tr("Click"),
    "tour": tr("Tour"),
    "export": tr("Export…"),
    "export-stems": tr("Stems…"),
    "tap": tr("Tap"),
    "mute": tr("Mute"),
    "solo": tr("Solo"),
    "remove-track": tr("Remove track"),
    "find-hits": tr("Find hits"),
    "cut": tr("Cut here"),
    "split-hits": tr("Every hit"),
    "split-bars": tr("Every bar"),
    "join": tr("Join"),
    "duplicate": tr("Duplicate"),
    "repeat": tr("Repeat…"),
    "mute-clip": tr("Mute clip"),
    "reverse-clip": tr("Reverse"),
    "flip": tr("Flip phase"),
    "add-track": tr("Add track"),
    "as-found": tr("As found"),
    "own-recipe": tr("Own recipe"),
    "own-moving": tr("Moved its own way"),
    "silence": tr("Silence"),
    "room-noise": tr("Room tone"),
    "noise-back": tr("Noise back"),
    "once-more": tr("Once more"),
    "once-less": tr("Once less"),
    "clear-own": tr("Usual recipe"),
    "keep-variant": tr("Keep variant…"),
    "next-variant": tr("Next variant"),
    "take-groove": tr("Take one"),
    "keep-groove": tr("Keep"),
    "break-pair": tr("Break"),
    "hear-pair": tr("Hear both"),
    "pair-found": tr("As found"),
}
"""Words of buttons, which stand where it is plain what they are about."""


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
    def beside(self) -> Beside: ...
    @property
    def others(self) -> OtherCommands: ...
    @property
    def is_shelf_shown(self) -> bool: ...
    def export(self) -> None: ...
    def export_stems(self) -> None: ...
    def copy_as_files(self) -> None: ...
    def quit(self) -> None: ...
    def undo(self) -> None: ...
    def redo(self) -> None: ...
    def rename_track(self) -> None: ...
    def toggle_shelf(self) -> None: ...
    def toggle_theme(self) -> None: ...
    def playhead_x(self) -> float | None: ...


def table_of(window: Front, commands: Commands) -> list[Entry]:
    """Every action of the window, in the order of the menus."""
    marks, fit, clips, loops, sections = (
        commands.marks,
        commands.fit,
        commands.clips,
        commands.loops,
        commands.sections,
    )
    rework, others = commands.rework, window.others
    desk, view, transport = window.desk, window.desk.view, window.desk.transport
    stages = [
        Entry(
            f"stage-{int(stage)}",
            "View",
            tr("Stage {0}", stage.words),
            str(int(stage)),
            lambda stage=stage: view.show_stage(stage),  # type: ignore[misc]  # bound at once
            lambda stage=stage: view.stage is stage,  # type: ignore[misc]  # bound at once
        )
        for stage in Stage
    ]
    return [
        Entry("new", "Session", tr("New session"), "Ctrl+N", window.session_files.new),
        Entry("open", "Session", tr("Open files…"), "Ctrl+O", window.session_files.ask_and_open),
        Entry(
            "open-session",
            "Session",
            tr("Open session folder…"),
            "Ctrl+Shift+O",
            window.session_files.open_folder,
        ),
        Entry("demo", "Session", tr("Open the demo"), "", window.session_files.open_demo),
        Entry(
            "find-missing", "Session", tr("Find missing recordings…"), "", window.session_files.find_missing
        ),
        Entry("", "Session"),
        Entry("save", "Session", tr("Save the session"), "Ctrl+S", window.session_files.save),
        Entry("save-as", "Session", tr("Save the session as…"), "Ctrl+Shift+S", window.session_files.save_as),
        Entry("save-copy", "Session", tr("Save a copy…"), "", window.session_files.keeping.save_copy),
        Entry(
            "template", "Session", tr("Save as a template…"), "", window.session_files.keeping.ask_template
        ),
        Entry("pack", "Session", tr("Pack into one file…"), "", window.session_files.keeping.pack),
        Entry("unpack", "Session", tr("Unpack a session…"), "", window.session_files.keeping.unpack),
        Entry(
            "information",
            "Session",
            tr("Session information…"),
            "Alt+Return",
            window.session_files.keeping.show_information,
        ),
        Entry("", "Session"),
        Entry("export", "Session", tr("Export the sound…"), "Ctrl+E", window.export),
        Entry("export-stems", "Session", tr("Export each track as a stem…"), "", window.export_stems),
        Entry("slice-files", "Session", tr("Write slices as files…"), "", commands.handing.ask_slices),
        Entry("tempo-midi", "Session", tr("Write the tempo map…"), "", commands.handing.ask_tempo),
        Entry("share", "Session", tr("Share the sound…"), "", window.beside.share),
        Entry("batch", "Session", tr("The same for many files…"), "", window.beside.show_batch),
        Entry("", "Session"),
        Entry("quit", "Session", tr("Quit Chronotome"), "Ctrl+Q", window.quit),
        Entry("undo", "Edit", tr("Undo"), "Ctrl+Z", window.undo),
        Entry("redo", "Edit", tr("Redo"), "Ctrl+Shift+Z, Ctrl+Y", window.redo),
        Entry("", "Edit"),
        Entry("next-hit", "Edit", tr("Next hit"), "Right", lambda: rework.step(1)),
        Entry("previous-hit", "Edit", tr("Previous hit"), "Left", lambda: rework.step(-1)),
        Entry(
            "extend-next",
            "Edit",
            tr("Select up to the next hit"),
            "Shift+Right",
            lambda: rework.step(1, is_extending=True),
        ),
        Entry(
            "extend-previous",
            "Edit",
            tr("Select back to the previous hit"),
            "Shift+Left",
            lambda: rework.step(-1, is_extending=True),
        ),
        Entry("cut", "Edit", tr("Cut at the selected hit, or here"), "X", rework.cut),
        Entry("keep-selection", "Edit", tr("Keep only the selection"), "", marks.keep_selection),
        Entry("next-check", "Edit", tr("Next place to check"), "N", commands.next_check),
        Entry("", "Edit"),
        Entry("preferences", "Edit", tr("Preferences…"), "Ctrl+,", window.beside.edit_preferences),
        Entry("shortcuts", "Edit", tr("Change shortcuts…"), "", window.beside.edit_shortcuts),
        Entry("mute", "Recording", tr("Mute the track"), "M", commands.mute),
        Entry("solo", "Recording", tr("Hear only the track"), "S", commands.solo),
        Entry("louder", "Recording", tr("Track louder by 1 dB"), "Ctrl+Up", lambda: commands.level(1)),
        Entry("softer", "Recording", tr("Track softer by 1 dB"), "Ctrl+Down", lambda: commands.level(-1)),
        Entry("lock", "Recording", tr("Lock with the track below"), "Ctrl+L", commands.lock_with_next),
        Entry("lock-all", "Recording", tr("Lock all tracks to this one"), "Ctrl+Shift+L", commands.lock_all),
        Entry("make-guide", "Recording", tr("Make the track the guide"), "", commands.make_guide),
        Entry("unlock", "Recording", tr("Unlock the track"), "", commands.unlock),
        Entry("write-fit", "Recording", tr("Write the fit beside the file"), "", fit.write_beside),
        Entry("flip", "Recording", tr("Flip the track’s phase"), "", commands.flip, commands.is_flipped),
        Entry("add-track", "Recording", tr("Add an empty track"), "Ctrl+Shift+N", commands.add_track),
        Entry("track-up", "Recording", tr("Move the track up"), "Alt+PgUp", lambda: commands.move_track(-1)),
        Entry(
            "track-down", "Recording", tr("Move the track down"), "Alt+PgDown", lambda: commands.move_track(1)
        ),
        Entry("rename-track", "Recording", tr("Rename the track"), "Shift+F2", window.rename_track),
        Entry(
            "track-taller", "Recording", tr("Track’s lane taller"), "Ctrl+Alt+Up", lambda: commands.resize(1)
        ),
        Entry(
            "track-lower", "Recording", tr("Track’s lane lower"), "Ctrl+Alt+Down", lambda: commands.resize(-1)
        ),
        Entry("fold", "Recording", tr("Fold or unfold the other tracks"), "Ctrl+Alt+F", commands.fold_others),
        Entry("remove-track", "Recording", tr("Remove the track"), "Ctrl+Delete", commands.remove_track),
        Entry("split-hits", "Clips", tr("Cut at every hit"), "Ctrl+Shift+X", clips.split_at_hits),
        Entry("split-bars", "Clips", tr("Cut at every bar"), "", clips.split_at_bars),
        Entry("join", "Clips", tr("Join clips"), "Ctrl+J", rework.join),
        Entry("", "Clips"),
        Entry("duplicate", "Clips", tr("Duplicate the clip"), "Ctrl+D", rework.duplicate),
        Entry("repeat", "Clips", tr("Repeat the clip…"), "Ctrl+R", rework.ask_repeats),
        Entry(
            "delete-close",
            "Clips",
            tr("Delete clip, close the gap"),
            "Shift+Delete",
            lambda: rework.delete(is_closed=True),
        ),
        Entry("cut-out", "Clips", tr("Cut out the clip"), "Ctrl+X", lambda: rework.keep(is_cut=True)),
        Entry("copy", "Clips", tr("Copy the clip"), "Ctrl+C", rework.keep),
        Entry(
            "copy-files", "Clips", tr("Copy as files for other programs"), "Ctrl+Alt+C", window.copy_as_files
        ),
        Entry("paste", "Clips", tr("Paste here"), "Ctrl+V", rework.paste),
        Entry("choose-all", "Clips", tr("Choose all clips of the track"), "Ctrl+A", rework.choose_all),
        Entry("", "Clips"),
        Entry("clip-earlier", "Clips", tr("Clip a line earlier"), "Alt+Up", lambda: rework.by_line(-1)),
        Entry("clip-later", "Clips", tr("Clip a line later"), "Alt+Down", lambda: rework.by_line(1)),
        Entry("rename-clip", "Clips", tr("Rename the clip…"), "F2", clips.ask_name),
        Entry("reverse-clip", "Clips", tr("Reverse the clip"), "R", rework.reverse),
        Entry("group", "Clips", tr("Group the chosen clips"), "Ctrl+G", clips.group),
        Entry("ungroup", "Clips", tr("Ungroup the clips"), "Ctrl+Shift+G", clips.ungroup),
        Entry("mute-clip", "Clips", tr("Mute the clip"), "Shift+M", clips.mute),
        Entry("", "Clips"),
        Entry(
            "bounce", "Clips", tr("Bounce to a track of its own"), "Ctrl+Shift+B", commands.bouncing.beside
        ),
        Entry("bounce-in-place", "Clips", tr("Bounce in place"), "Ctrl+Alt+B", commands.bouncing.in_place),
        Entry("bounce-track", "Clips", tr("Bounce the whole track"), "", commands.bouncing.track),
        Entry("bounce-back", "Clips", tr("Bring back what was bounced"), "", commands.bouncing.bring_back),
        Entry("add-onset", "Marks", tr("Mark here, or by ear while it plays"), "I, Insert", marks.add),
        Entry("keep-onset", "Marks", tr("Keep the onset"), "K", marks.keep),
        Entry(
            "drop-onset",
            "Marks",
            tr("Drop the onset; in Rework, delete clips or hits"),
            "Delete",
            rework.delete,
        ),
        Entry("lock-onset", "Marks", tr("Lock or free the onset"), "O", marks.lock),
        Entry("hear-onset", "Marks", tr("Hear the selected hit"), "H", rework.hear),
        Entry("", "Marks"),
        Entry("frame-earlier", "Marks", tr("Move mark 1 frame earlier"), ",", lambda: marks.nudge(frames=-1)),
        Entry("frame-later", "Marks", tr("Move mark 1 frame later"), ".", lambda: marks.nudge(frames=1)),
        Entry(
            "mark-earlier",
            "Marks",
            tr("Move mark 1 ms earlier"),
            "Alt+Left",
            lambda: rework.later(-1),
        ),
        Entry("mark-later", "Marks", tr("Move mark 1 ms later"), "Alt+Right", lambda: rework.later(1)),
        Entry(
            "mark-far-earlier",
            "Marks",
            tr("Move mark 10 ms earlier"),
            "Alt+Shift+Left",
            lambda: rework.later(-10),
        ),
        Entry(
            "mark-far-later",
            "Marks",
            tr("Move mark 10 ms later"),
            "Alt+Shift+Right",
            lambda: rework.later(10),
        ),
        Entry("pull-onset", "Marks", tr("Pull mark to its attack"), "P", marks.pull_to_attack),
        Entry("", "Marks"),
        Entry("find-hits", "Marks", tr("Find the hits"), "", commands.find_hits),
        Entry("as-found", "Marks", tr("Forget marks set by hand"), "", marks.as_found),
        Entry("import-marks", "Marks", tr("Import marks…"), "", window.mark_files.ask_and_bring),
        Entry("export-marks", "Marks", tr("Export marks…"), "", window.mark_files.ask_and_write),
        Entry("calibrate", "Marks", tr("Tap calibration…"), "", window.beside.calibrate),
        Entry("tap", "Timing", tr("Tap the beats"), "T", fit.tap),
        Entry("beat-one", "Timing", tr("Beat one here"), "B", fit.beat_one),
        Entry("bar-here", "Timing", tr("Bar … is here"), "Shift+B", fit.ask_bar),
        Entry("", "Timing"),
        Entry("half-time", "Timing", tr("Halve the recording’s tempo"), "", lambda: fit.scale(0.5)),
        Entry("double-time", "Timing", tr("Double the recording’s tempo"), "", lambda: fit.scale(2.0)),
        Entry("song-tempo", "Timing", tr("Recording is at the song’s tempo"), "", fit.at_song_tempo),
        Entry(
            "fewer-bars",
            "Timing",
            tr("Recording has one bar fewer"),
            "Ctrl+Shift+Left",
            lambda: fit.more_bars(-1),
        ),
        Entry(
            "more-bars",
            "Timing",
            tr("Recording has one bar more"),
            "Ctrl+Shift+Right",
            lambda: fit.more_bars(1),
        ),
        Entry("half-bars", "Timing", tr("Recording has half the bars"), "", lambda: fit.bars_times(0.5)),
        Entry("double-bars", "Timing", tr("Recording has twice the bars"), "", lambda: fit.bars_times(2.0)),
        Entry("as-measured", "Timing", tr("Take the fit as measured"), "", fit.forget),
        Entry("", "Timing"),
        Entry("mend-half", "Timing", tr("Beats from this bar on: half"), "", lambda: fit.mend(Mend.HALF)),
        Entry(
            "mend-double", "Timing", tr("Beats from this bar on: double"), "", lambda: fit.mend(Mend.DOUBLE)
        ),
        Entry(
            "mend-earlier",
            "Timing",
            tr("Beats from this bar on: one earlier"),
            "Shift+,",
            lambda: fit.mend(Mend.EARLIER),
        ),
        Entry(
            "mend-later",
            "Timing",
            tr("Beats from this bar on: one later"),
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
        Entry("straighten", "Timing", tr("Straighten the take"), "G", fit.straighten),
        Entry("use-measured", "Timing", tr("Song takes tempo, metre and beat one"), "U", fit.use_measured),
        Entry("halve", "Timing", tr("Halve the song’s tempo"), "", lambda: fit.scale_song(0.5)),
        Entry("double", "Timing", tr("Double the song’s tempo"), "", lambda: fit.scale_song(2.0)),
        Entry("", "Timing"),
        *tighten_entries(commands, view),
        *rework_entries(commands),
        *kit_entries(commands, others),
        Entry("play", "Playback", tr("Play or stop"), "Space", transport.toggle),
        Entry("return", "Playback", tr("Return to the start"), "Home", transport.go_back),
        Entry("scrub-back", "Playback", tr("Scrub back"), "Ctrl+Left", lambda: marks.scrub(-1)),
        Entry("scrub-on", "Playback", tr("Scrub on"), "Ctrl+Right", lambda: marks.scrub(1)),
        Entry("bar-back", "Playback", tr("Back by a bar"), "[", lambda: marks.jump(-1)),
        Entry("bar-on", "Playback", tr("On by a bar"), "]", lambda: marks.jump(1)),
        Entry("far-back", "Playback", tr("Back by 8 bars"), "Ctrl+[", lambda: marks.jump(-8)),
        Entry("far-on", "Playback", tr("On by 8 bars"), "Ctrl+]", lambda: marks.jump(8)),
        Entry("loop-selection", "Playback", tr("Loop the selection"), "Shift+L", marks.loop_selection),
        Entry("pull-loop", "Playback", tr("Pull the loop’s ends to attacks"), "Shift+P", loops.pull_ends),
        Entry(
            "own-recording",
            "Playback",
            tr("Loop as a recording of its own…"),
            "Ctrl+Shift+M",
            loops.ask_and_write,
        ),
        Entry("hear-join", "Playback", tr("Hear the loop go round"), "J", marks.hear_join),
        Entry("loop", "Playback", tr("Play in a loop"), "L", commands.loop, lambda: desk.session.is_looping),
        Entry(
            "click",
            "Playback",
            tr("Click on the beats"),
            "C",
            commands.click,
            lambda: desk.session.click.is_on,
        ),
        Entry("tour", "Playback", tr("Tour through the take"), "Shift+T", window.tour.toggle),
        Entry("listen", "Playback", tr("Listen as played or edited"), "A", commands.listen),
        *(
            Entry(
                f"in-time-{each.name.lower()}",
                "In time with",
                words,
                "",
                lambda each=each: others.keep_in_time(each),  # type: ignore[misc]  # bound at once
                lambda each=each: others.is_in_time(each),  # type: ignore[misc]  # the same
            )
            for each, words in IN_TIME_WORDS.items()
        ),
        Entry("clock-tempo", "In time with", tr("Use clock’s tempo"), "", others.use_clock_tempo),
        Entry("", "Playback"),
        Entry("add-section", "Playback", tr("Name a section…"), "Ctrl+M", sections.add),
        Entry("rename-section", "Playback", tr("Rename the section…"), "", sections.rename),
        Entry("remove-section", "Playback", tr("Remove the section"), "", sections.remove),
        Entry("next-section", "Playback", tr("Next section"), "Ctrl+PgDown", lambda: sections.step(1)),
        Entry("previous-section", "Playback", tr("Previous section"), "Ctrl+PgUp", lambda: sections.step(-1)),
        Entry("loop-section", "Playback", tr("Loop the section here"), "", sections.loop),
        *stages,
        Entry("", "View"),
        Entry("history", "View", tr("Show the history"), "F4", window.beside.show_history),
        Entry("shelf", "View", tr("Show the shelf"), "Y", window.toggle_shelf, lambda: window.is_shelf_shown),
        Entry("zoom-in", "View", tr("Zoom in"), "+, =", lambda: view.zoom(ZOOM_STEP, window.playhead_x())),
        Entry("zoom-out", "View", tr("Zoom out"), "-", lambda: view.zoom(1 / ZOOM_STEP, window.playhead_x())),
        Entry("fit", "View", tr("Show the whole take"), "F", view.fit),
        Entry("track-below", "View", tr("Go to the next track"), "PgDown", lambda: view.focus_next(1)),
        Entry("track-above", "View", tr("Go to the previous track"), "PgUp", lambda: view.focus_next(-1)),
        Entry(
            "night",
            "View",
            tr("Dark colours"),
            "Ctrl+T",
            window.toggle_theme,
            lambda: view.theme.name == "night",
        ),
        Entry("find", "Help", tr("Find anything…"), "F3", window.beside.find_anything),
        Entry("walk", "Help", tr("Walk through the window"), "", window.beside.walk_through),
        Entry("manual", "Help", tr("Manual"), "F1", window.beside.show_manual),
        Entry("help", "Help", tr("What marks and mouse mean"), "Shift+F1", window.beside.show_help),
        Entry("messages", "Help", tr("Show the messages"), "", window.messages.show),
    ]
