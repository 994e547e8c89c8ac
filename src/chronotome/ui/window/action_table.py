"""The one table of actions: name, words, keys, and what each does."""

from functools import partial
from typing import Protocol

from chronotome.session.edits.fitting import BeatCorrection, TempoSync
from chronotome.ui.actions.actions import Entry
from chronotome.ui.actions.kit_actions import kit_entries
from chronotome.ui.actions.learning import Learning
from chronotome.ui.actions.rework_actions import rework_entries
from chronotome.ui.actions.tighten_actions import tighten_entries
from chronotome.ui.commands.fit import FOLLOWING_WORDS
from chronotome.ui.commands.general import Commands
from chronotome.ui.commands.mark_files import MarkFiles
from chronotome.ui.commands.others import SYNC_WORDS, OtherCommands
from chronotome.ui.commands.session_files import SessionFiles
from chronotome.ui.commands.tour import Tour
from chronotome.ui.dialogs.messages import Messages
from chronotome.ui.panels.side import SidePanel
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage, ViewState
from chronotome.ui.timeline.evidence import EvidenceRow, evidence_of, switchable
from chronotome.ui.timeline.lane import ZOOM_STEP
from chronotome.ui.window.dialog_openers import DialogOpeners
from chronotome.words import tr


class Front(Protocol):
    """What actions ask of the window itself."""

    @property
    def desk(self) -> UiContext: ...
    @property
    def session_files(self) -> SessionFiles: ...
    @property
    def mark_files(self) -> MarkFiles: ...
    @property
    def messages(self) -> Messages: ...
    @property
    def tour(self) -> Tour: ...
    @property
    def beside(self) -> DialogOpeners: ...
    @property
    def learning(self) -> Learning: ...
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
    def toggle_full_screen(self) -> None: ...
    def isFullScreen(self) -> bool: ...
    @property
    def is_large(self) -> bool: ...
    @property
    def rail_side(self) -> SidePanel: ...
    @property
    def tray_side(self) -> SidePanel: ...
    def toggle_side(self, side: SidePanel) -> None: ...
    def go_to_next_panel(self, step: int) -> None: ...
    def usual_layout(self) -> None: ...
    def new_window(self) -> None: ...
    def toggle_large(self) -> None: ...
    def select_none(self) -> None: ...
    def playhead_x(self) -> float | None: ...


def lane_entries(view: ViewState) -> list[Entry]:
    """One for each evidence lane of stages that have several."""

    def show(row: EvidenceRow) -> None:
        view.show_stage(row.stage)
        view.show_evidence(row.stage, row.name)

    return [
        Entry(
            f"lane-{row.name}",
            tr("Show {0} lane", row.words),
            f"Alt+{at + 1}" if row.stage is Stage.TIGHTEN else "",
            partial(show, row),
            lambda row=row: evidence_of(view, row.stage) == row.name,  # type: ignore[misc]  # bound at once
        )
        for at, row in switchable()
    ]


def table_of(window: Front, commands: Commands) -> list[Entry]:
    """Every action of the window; `menus` says which stand where."""
    marks, fit, clips, loops, sections = (
        commands.marks,
        commands.fit,
        commands.clips,
        commands.loops,
        commands.sections,
    )
    rework, song, others = commands.rework, commands.song, window.others
    desk, view, transport = window.desk, window.desk.view, window.desk.transport
    stages = [
        Entry(
            f"stage-{int(stage)}",
            tr("Go to {0}", stage.words),
            str(int(stage)),
            lambda stage=stage: view.show_stage(stage),  # type: ignore[misc]  # bound at once
            lambda stage=stage: view.stage is stage,  # type: ignore[misc]  # bound at once
        )
        for stage in Stage
    ]
    return [
        Entry("new", tr("New session"), "Ctrl+N", window.session_files.new),
        Entry("open", tr("Open…"), "Ctrl+O", window.session_files.ask_and_open),
        Entry(
            "open-session",
            tr("Open session folder…"),
            "Ctrl+Shift+O",
            window.session_files.open_folder,
        ),
        Entry("demo", tr("Open demo session"), "", window.session_files.open_demo),
        Entry("read-again", tr("Read again"), "", commands.read_again),
        Entry("find-missing", tr("Find missing recordings…"), "", window.session_files.find_missing),
        Entry("save", tr("Save"), "Ctrl+S", window.session_files.save),
        Entry("save-as", tr("Save as…"), "Ctrl+Shift+S", window.session_files.save_as),
        Entry("save-copy", tr("Save copy…"), "", window.session_files.keeping.save_copy),
        Entry("template", tr("Save as template…"), "", window.session_files.keeping.ask_template),
        Entry("pack", tr("Pack session…"), "", window.session_files.keeping.pack),
        Entry("unpack", tr("Unpack session…"), "", window.session_files.keeping.unpack),
        Entry(
            "information",
            tr("Session information…"),
            "Alt+Return",
            window.session_files.keeping.show_information,
        ),
        Entry("export", tr("Export audio…"), "Ctrl+E", window.export),
        Entry("export-stems", tr("Export stems…"), "", window.export_stems),
        Entry("slice-files", tr("Export slices…"), "", commands.handing.ask_slices),
        Entry("tempo-midi", tr("Export tempo map…"), "", commands.handing.ask_tempo),
        Entry("share", tr("Share…"), "", window.beside.share),
        Entry("batch", tr("Process files…"), "", window.beside.show_batch),
        Entry("quit", tr("Quit"), "Ctrl+Q", window.quit),
        Entry("undo", tr("Undo"), "Ctrl+Z", window.undo),
        Entry("redo", tr("Redo"), "Ctrl+Shift+Z, Ctrl+Y", window.redo),
        Entry("next-hit", tr("Next hit"), "Right", lambda: rework.step(1)),
        Entry("previous-hit", tr("Previous hit"), "Left", lambda: rework.step(-1)),
        Entry(
            "extend-next",
            tr("Extend to next hit"),
            "Shift+Right",
            lambda: rework.step(1, is_extending=True),
        ),
        Entry(
            "extend-previous",
            tr("Extend to previous hit"),
            "Shift+Left",
            lambda: rework.step(-1, is_extending=True),
        ),
        Entry("cut", tr("Split here"), "X", rework.cut),
        Entry("keep-selection", tr("Trim to selection"), "", marks.keep_selection),
        Entry("next-check", tr("Next place to check"), "N", commands.next_check),
        Entry("preferences", tr("Preferences…"), "Ctrl+,", window.beside.edit_preferences),
        Entry("shortcuts", tr("Keyboard shortcuts…"), "", window.beside.edit_shortcuts),
        Entry("mute", tr("Mute track"), "M", commands.mute),
        Entry("solo", tr("Solo track"), "S", commands.solo),
        Entry("louder", tr("Track level: +1 dB"), "Ctrl+Up", lambda: commands.level(1)),
        Entry("softer", tr("Track level: −1 dB"), "Ctrl+Down", lambda: commands.level(-1)),
        Entry("lock", tr("Lock to track below"), "Ctrl+L", commands.lock_with_next),
        Entry("lock-all", tr("Lock all tracks"), "Ctrl+Shift+L", commands.lock_all),
        Entry("make-guide", tr("Set track as guide"), "", commands.make_guide),
        Entry("unlock", tr("Unlock track"), "", commands.unlock),
        Entry("write-fit", tr("Save fit file"), "", fit.write_beside),
        Entry("flip", tr("Invert polarity"), "", commands.flip, commands.is_flipped),
        Entry("add-track", tr("Add empty track"), "Ctrl+Shift+N", commands.add_track),
        Entry("track-up", tr("Move track up"), "Alt+PgUp", lambda: commands.move_track(-1)),
        Entry("track-down", tr("Move track down"), "Alt+PgDown", lambda: commands.move_track(1)),
        Entry("rename-track", tr("Rename track"), "Shift+F2", window.rename_track),
        Entry(
            "track-taller",
            tr("Increase track height"),
            "Ctrl+Shift+Up",
            lambda: commands.resize(1),
        ),
        Entry(
            "track-lower",
            tr("Decrease track height"),
            "Ctrl+Shift+Down",
            lambda: commands.resize(-1),
        ),
        Entry("fold", tr("Fold other tracks"), "Ctrl+Alt+F", commands.fold_others),
        Entry("remove-track", tr("Remove track"), "Ctrl+Delete", commands.remove_track),
        Entry("split-hits", tr("Split clip at hits"), "Ctrl+Shift+X", clips.split_at_hits),
        Entry("split-bars", tr("Split clip at bars"), "", clips.split_at_bars),
        Entry("join", tr("Join"), "Ctrl+J", rework.join),
        Entry("duplicate", tr("Duplicate"), "Ctrl+D", rework.duplicate),
        Entry("repeat", tr("Repeat…"), "Ctrl+R", rework.ask_repeats),
        Entry(
            "delete-close",
            tr("Delete, close gap"),
            "Shift+Delete",
            lambda: rework.delete(is_closed=True),
        ),
        Entry("cut-out", tr("Cut"), "Ctrl+X", lambda: rework.keep(is_cut=True)),
        Entry("copy", tr("Copy"), "Ctrl+C", rework.keep),
        Entry("copy-files", tr("Copy as audio files"), "Ctrl+Alt+C", window.copy_as_files),
        Entry("paste", tr("Paste"), "Ctrl+V", rework.paste),
        Entry("choose-all", tr("Select all"), "Ctrl+A", rework.choose_all),
        Entry("clip-earlier", tr("Move clip earlier"), "Alt+Up", lambda: rework.by_line(-1)),
        Entry("clip-later", tr("Move clip later"), "Alt+Down", lambda: rework.by_line(1)),
        Entry("rename-clip", tr("Rename clip…"), "F2", clips.ask_name),
        Entry("reverse-clip", tr("Reverse"), "R", rework.reverse),
        Entry("group", tr("Group clips"), "Ctrl+G", clips.group),
        Entry("ungroup", tr("Ungroup clips"), "Ctrl+Shift+G", clips.ungroup),
        Entry("mute-clip", tr("Mute clip"), "Shift+M", clips.mute),
        Entry("bounce", tr("Bounce to new track"), "Ctrl+Shift+B", commands.bouncing.beside),
        Entry("bounce-in-place", tr("Bounce in place"), "Ctrl+Alt+B", commands.bouncing.in_place),
        Entry("bounce-track", tr("Bounce whole track"), "", commands.bouncing.track),
        Entry("bounce-back", tr("Restore bounced clips"), "", commands.bouncing.bring_back),
        Entry("add-onset", tr("Add onset"), "I, Insert", marks.add),
        Entry("keep-onset", tr("Keep onset"), "K", marks.keep),
        Entry(
            "drop-onset",
            tr("Delete"),
            "Delete",
            rework.delete,
        ),
        Entry("lock-onset", tr("Pin onset"), "O", marks.lock),
        Entry("hear-onset", tr("Play selected hit"), "H", rework.hear),
        Entry("frame-earlier", tr("Nudge onset −1 sample"), ",", lambda: marks.nudge(frames=-1)),
        Entry("frame-later", tr("Nudge onset +1 sample"), ".", lambda: marks.nudge(frames=1)),
        Entry(
            "mark-earlier",
            tr("Nudge onset −1 ms"),
            "Alt+Left",
            lambda: rework.later(-1),
        ),
        Entry("mark-later", tr("Nudge onset +1 ms"), "Alt+Right", lambda: rework.later(1)),
        Entry(
            "mark-far-earlier",
            tr("Nudge onset −10 ms"),
            "Alt+Shift+Left",
            lambda: rework.later(-10),
        ),
        Entry(
            "mark-far-later",
            tr("Nudge onset +10 ms"),
            "Alt+Shift+Right",
            lambda: rework.later(10),
        ),
        Entry("pull-onset", tr("Snap onset to attack"), "P", marks.pull_to_attack),
        Entry("find-hits", tr("Detect onsets"), "", commands.find_hits),
        Entry("as-found", tr("Reset onsets"), "", marks.as_found),
        Entry("import-marks", tr("Import onsets…"), "", window.mark_files.ask_and_bring),
        Entry("export-marks", tr("Export onsets…"), "", window.mark_files.ask_and_write),
        Entry("calibrate", tr("Calibrate tapping…"), "", window.beside.calibrate),
        Entry("tap", tr("Tap beats"), "T", fit.tap),
        Entry("beat-one", tr("Set beat one"), "B", fit.beat_one),
        Entry("bar-here", tr("Set bar number…"), "Shift+B", fit.ask_bar),
        Entry("half-time", tr("Halve recording tempo"), "", lambda: fit.scale(0.5)),
        Entry("double-time", tr("Double recording tempo"), "", lambda: fit.scale(2.0)),
        Entry("song-tempo", tr("Use song tempo"), "", fit.at_song_tempo),
        Entry(
            "fewer-bars",
            tr("One bar fewer"),
            "Ctrl+Shift+Left",
            lambda: fit.more_bars(-1),
        ),
        Entry(
            "more-bars",
            tr("One bar more"),
            "Ctrl+Shift+Right",
            lambda: fit.more_bars(1),
        ),
        Entry("half-bars", tr("Halve number of bars"), "", lambda: fit.bars_times(0.5)),
        Entry("double-bars", tr("Double number of bars"), "", lambda: fit.bars_times(2.0)),
        Entry("as-measured", tr("Reset to detected fit"), "", fit.forget),
        Entry("mend-half", tr("Halve beats from here"), "", lambda: fit.mend(BeatCorrection.HALF)),
        Entry("mend-double", tr("Double beats from here"), "", lambda: fit.mend(BeatCorrection.DOUBLE)),
        Entry(
            "mend-earlier",
            tr("Move beats earlier"),
            "Shift+,",
            lambda: fit.mend(BeatCorrection.EARLIER),
        ),
        Entry(
            "mend-later",
            tr("Move beats later"),
            "Shift+.",
            lambda: fit.mend(BeatCorrection.LATER),
        ),
        Entry(
            "follow-nobody",
            FOLLOWING_WORDS[TempoSync.NOBODY],
            "",
            lambda: fit.set_following(TempoSync.NOBODY),
        ),
        Entry(
            "follow-song",
            FOLLOWING_WORDS[TempoSync.RECORDING],
            "",
            lambda: fit.set_following(TempoSync.RECORDING),
        ),
        Entry(
            "lead-tempo",
            FOLLOWING_WORDS[TempoSync.SONG],
            "",
            lambda: fit.set_following(TempoSync.SONG),
        ),
        Entry(
            "lead-grid",
            FOLLOWING_WORDS[TempoSync.GRID],
            "",
            lambda: fit.set_following(TempoSync.GRID),
        ),
        Entry("straighten", tr("Straighten tempo"), "G", fit.straighten),
        Entry("use-measured", tr("Copy tempo to song"), "U", fit.use_measured),
        Entry("tempo-here", tr("Set tempo here…"), "Ctrl+Shift+T", song.ask_tempo),
        Entry("tempo-ramp", tr("Ramp tempo over loop…"), "", song.ask_ramp),
        Entry("tempo-even", tr("Toggle tempo ramp"), "", song.toggle_ramp),
        Entry("tempo-tap", tr("Tap tempo over loop"), "", song.tap_over_loop),
        Entry("tempo-gone", tr("Remove tempo change"), "", song.remove_tempo),
        Entry("halve", tr("Halve song tempo"), "", lambda: song.scale(0.5)),
        Entry("double", tr("Double song tempo"), "", lambda: song.scale(2.0)),
        Entry("metre-here", tr("Change metre here…"), "Ctrl+Alt+M", song.ask_metre),
        Entry("metre-gone", tr("Remove metre change"), "", song.remove_metre),
        Entry("tempo-open", tr("Open tempo map…"), "", song.ask_map),
        *tighten_entries(commands, view),
        *rework_entries(commands),
        *lane_entries(view),
        *kit_entries(commands, window.learning, window.beside.show_bound),
        Entry("play", tr("Play or stop"), "Space", transport.toggle),
        Entry("return", tr("Return to start"), "Home", transport.go_back),
        Entry("scrub-back", tr("Scrub back"), "Ctrl+Left", lambda: marks.scrub(-1)),
        Entry("scrub-on", tr("Scrub forward"), "Ctrl+Right", lambda: marks.scrub(1)),
        Entry("bar-back", tr("Back one bar"), "[", lambda: marks.jump(-1)),
        Entry("bar-on", tr("Forward one bar"), "]", lambda: marks.jump(1)),
        Entry("far-back", tr("Back 8 bars"), "Ctrl+[", lambda: marks.jump(-8)),
        Entry("far-on", tr("Forward 8 bars"), "Ctrl+]", lambda: marks.jump(8)),
        Entry("loop-selection", tr("Loop selection"), "Shift+L", marks.loop_selection),
        Entry("pull-loop", tr("Snap loop to attacks"), "Shift+P", loops.pull_ends),
        Entry(
            "own-recording",
            tr("Save loop as recording…"),
            "Ctrl+Shift+M",
            loops.ask_and_write,
        ),
        Entry("hear-join", tr("Play across loop end"), "J", marks.hear_join),
        Entry("loop", tr("Loop"), "L", commands.loop, lambda: desk.session.is_looping),
        Entry(
            "click",
            tr("Metronome"),
            "C",
            commands.click,
            lambda: desk.session.click.is_on,
        ),
        Entry("tour", tr("Spot-check fit"), "Shift+T", window.tour.toggle),
        Entry("listen", tr("Switch played / edited"), "A", commands.listen),
        *(
            Entry(
                f"in-time-{each.name.lower()}",
                words,
                "",
                lambda each=each: others.keep_in_time(each),  # type: ignore[misc]  # bound at once
                lambda each=each: others.is_in_time(each),  # type: ignore[misc]  # the same
            )
            for each, words in SYNC_WORDS.items()
        ),
        Entry("clock-tempo", tr("Use MIDI clock tempo"), "", others.use_clock_tempo),
        Entry("add-section", tr("Add section…"), "Ctrl+M", sections.add),
        Entry("rename-section", tr("Rename section…"), "", sections.rename),
        Entry("remove-section", tr("Remove section"), "", sections.remove),
        Entry("next-section", tr("Next section"), "Ctrl+PgDown", lambda: sections.step(1)),
        Entry("previous-section", tr("Previous section"), "Ctrl+PgUp", lambda: sections.step(-1)),
        Entry("loop-section", tr("Loop section"), "", sections.loop),
        *stages,
        Entry("history", tr("History"), "F4", window.beside.show_history),
        Entry("shelf", tr("Shelf"), "Y", window.toggle_shelf, lambda: window.is_shelf_shown),
        Entry("zoom-in", tr("Zoom in"), "+, =", lambda: view.sight.zoom(ZOOM_STEP, window.playhead_x())),
        Entry("zoom-out", tr("Zoom out"), "-", lambda: view.sight.zoom(1 / ZOOM_STEP, window.playhead_x())),
        Entry("fit", tr("Zoom to fit"), "F", view.sight.fit),
        Entry("track-below", tr("Next track"), "PgDown", lambda: view.chosen.focus_next(1)),
        Entry("track-above", tr("Previous track"), "PgUp", lambda: view.chosen.focus_next(-1)),
        Entry("full-screen", tr("Full screen"), "F11", window.toggle_full_screen, window.isFullScreen),
        Entry(
            "rail",
            tr("Stages"),
            "",
            lambda: window.toggle_side(window.rail_side),
            lambda: not window.rail_side.is_small,
        ),
        Entry(
            "tray",
            tr("Tray"),
            "F7",
            lambda: window.toggle_side(window.tray_side),
            lambda: not window.tray_side.is_small,
        ),
        Entry("new-window", tr("New window"), "", window.new_window),
        Entry("usual-layout", tr("Reset layout"), "", window.usual_layout),
        Entry("next-panel", tr("Go to next panel"), "F6", lambda: window.go_to_next_panel(1)),
        Entry("previous-panel", tr("Go to previous panel"), "Shift+F6", lambda: window.go_to_next_panel(-1)),
        Entry("large-lanes", tr("Large lanes"), "F9", window.toggle_large, lambda: window.is_large),
        Entry(
            "night",
            tr("Dark theme"),
            "Ctrl+T",
            window.toggle_theme,
            lambda: view.theme.is_dark,
        ),
        Entry("about", tr("About Chronotome"), "", window.beside.show_about),
        Entry("select-none", tr("Deselect"), "", window.select_none),
        Entry("find", tr("Find…"), "F3", window.beside.find_anything),
        Entry("walk", tr("Guided tour"), "", window.beside.walk_through),
        Entry("manual", tr("Manual"), "F1", window.beside.show_manual),
        Entry("help", tr("Symbols and mouse actions"), "Shift+F1", window.beside.show_help),
        Entry("messages", tr("Messages"), "", window.messages.show),
    ]
