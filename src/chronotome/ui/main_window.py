"""The window: menus, transport, rail, timeline, tray, status line; opening, saving, closing."""

from collections.abc import Callable
from pathlib import Path

import msgspec
from PySide6.QtCore import Qt
from PySide6.QtGui import QCloseEvent, QDragEnterEvent, QDropEvent, QKeyEvent
from PySide6.QtWidgets import (
    QFileDialog,
    QHBoxLayout,
    QMainWindow,
    QMessageBox,
    QPushButton,
    QScrollArea,
    QStackedWidget,
    QVBoxLayout,
    QWidget,
)

from chronotome import demo
from chronotome.bridge.transport import Transport
from chronotome.files.audio_file import SUFFIXES, Written
from chronotome.files.journal import Journal, Recovered, discard
from chronotome.files.places import Settings, save_settings, with_recent
from chronotome.render.proof import Proof
from chronotome.ui.actions import Actions, Entry
from chronotome.ui.commands import Commands
from chronotome.ui.desk import Desk
from chronotome.ui.dialogs import HelpDialog, ShortcutsDialog
from chronotome.ui.rail import Rail
from chronotome.ui.stages.export import ExportTray
from chronotome.ui.stages.fit import FitTray
from chronotome.ui.stages.mark import MarkTray
from chronotome.ui.stages.rework import ReworkTray
from chronotome.ui.stages.tighten import TightenTray
from chronotome.ui.stages.tray import WIDTH, Tray
from chronotome.ui.status_line import StatusLine
from chronotome.ui.theme import THEMES, style_sheet
from chronotome.ui.timeline.lane import ZOOM_STEP
from chronotome.ui.timeline.timeline import Timeline, Welcome
from chronotome.ui.transport_bar import TransportBar
from chronotome.ui.view_state import Stage

DEMO_SESSION = Path(demo.__file__).parent / "harbour-ferry"
SMALLEST = (1024, 700)
USUAL = (1280, 800)


class MainWindow(QMainWindow):
    def __init__(self, desk: Desk, journal: Journal, settings: Settings) -> None:
        super().__init__()
        self.desk, self._journal, self.settings = desk, journal, settings
        self._commands = Commands(desk)
        self._after_save: Callable[[], None] | None = None
        self._is_closing = False
        self.setMinimumSize(*SMALLEST)
        self.resize(*USUAL)
        self.setAcceptDrops(True)
        self.actions_table = Actions(self, self._entries(), settings.shortcuts, self._tell)
        self._menus = self.actions_table.fill(self.menuBar())
        self._recent = self._menus["Session"].addMenu("Recent sessions")
        self._menus["Session"].aboutToShow.connect(self._fill_recent)
        self._build()
        desk.view.snap_follows_zoom = settings.grid_follows_zoom
        desk.store.changed.connect(self._show)
        desk.store.kept.connect(self._show)
        desk.view.stage_changed.connect(self._on_stage)
        desk.view.theme_changed.connect(self._on_theme)
        desk.workspace.opened.connect(self._on_opened)
        desk.workspace.saved.connect(self._on_saved)
        desk.workspace.missing.connect(self._on_missing)
        desk.workspace.source_ready.connect(self._on_source)
        desk.tasks.error.connect(self._on_error)
        self._on_theme()
        self._on_stage()
        self._show()

    # Building

    def _build(self) -> None:
        desk = self.desk
        self.transport = TransportBar(desk, self.actions_table)
        self.rail = Rail(desk)
        self.timeline = Timeline(desk)
        self.status = StatusLine(desk)
        self.export_tray = ExportTray(desk, self.actions_table)
        self.trays: dict[Stage, Tray] = {
            Stage.MARK: MarkTray(desk, self.actions_table),
            Stage.FIT: FitTray(desk, self.actions_table),
            Stage.TIGHTEN: TightenTray(desk, self.actions_table, self._commands),
            Stage.REWORK: ReworkTray(desk, self.actions_table),
            Stage.EXPORT: self.export_tray,
        }
        self.export_tray.exported.connect(self._on_exported)
        self._tray = QStackedWidget()
        for tray in self.trays.values():
            area = QScrollArea()
            area.setWidgetResizable(True)
            area.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
            area.setWidget(tray)
            self._tray.addWidget(area)
        self._tray.setObjectName("tray")
        self._tray.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        self._tray.setFixedWidth(WIDTH)
        self._work = QStackedWidget()
        self._work.addWidget(self._welcome())
        self._work.addWidget(self.timeline)
        middle = QHBoxLayout()
        middle.setSpacing(0)
        middle.addWidget(self.rail)
        middle.addWidget(self._work, 1)
        middle.addWidget(self._tray)
        body = QWidget()
        layout = QVBoxLayout(body)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.setSpacing(0)
        layout.addWidget(self.transport)
        layout.addLayout(middle, 1)
        layout.addWidget(self.status)
        self.setCentralWidget(body)

    def _welcome(self) -> Welcome:
        welcome = Welcome(self.desk)
        layout = QVBoxLayout(welcome)
        layout.addStretch(1)
        row = QHBoxLayout()
        row.addStretch(1)
        for words, do, is_main in (
            ("Open the demo: Harbour ferry", self.open_demo, True),
            ("Open files…", self._open, False),
        ):
            button = QPushButton(words)
            button.setObjectName("main" if is_main else "")
            button.clicked.connect(do)
            row.addWidget(button)
        row.addStretch(1)
        layout.addLayout(row)
        layout.addStretch(1)
        return welcome

    def _entries(self) -> list[Entry]:
        c, view, transport = self._commands, self.desk.view, self.desk.transport
        stages = [
            Entry(
                f"stage-{int(stage)}",
                "View",
                stage.words,
                str(int(stage)),
                lambda stage=stage: view.show_stage(stage),  # type: ignore[misc]  # bound at once
                lambda stage=stage: view.stage is stage,  # type: ignore[misc]  # bound at once
            )
            for stage in Stage
        ]
        return [
            Entry("new", "Session", "New", "Ctrl+N", self._new),
            Entry("open", "Session", "Open…", "Ctrl+O", self._open),
            Entry("open-session", "Session", "Open session folder…", "Ctrl+Shift+O", self._open_folder),
            Entry("demo", "Session", "Open the demo", "", self.open_demo),
            Entry("find-missing", "Session", "Find missing recordings…", "", self._find_missing),
            Entry("", "Session"),
            Entry("save", "Session", "Save", "Ctrl+S", self.save),
            Entry("save-as", "Session", "Save as…", "Ctrl+Shift+S", self._save_as),
            Entry("export", "Session", "Export…", "Ctrl+E", self._export),
            Entry("", "Session"),
            Entry("quit", "Session", "Quit", "Ctrl+Q", self._quit),
            Entry("undo", "Edit", "Undo", "Ctrl+Z", self.desk.store.undo),
            Entry("redo", "Edit", "Redo", "Ctrl+Shift+Z, Ctrl+Y", self.desk.store.redo),
            Entry("", "Edit"),
            Entry("next-hit", "Edit", "Next hit", "Tab, Right", lambda: c.step_hit(1)),
            Entry("previous-hit", "Edit", "Previous hit", "Shift+Tab, Left", lambda: c.step_hit(-1)),
            Entry("next-check", "Edit", "Next to check", "N", c.next_check),
            Entry("", "Edit"),
            Entry("shortcuts", "Edit", "Shortcuts…", "", self._shortcuts),
            Entry("add-onset", "Recording", "Add onset at playhead", "Insert, I", c.add_onset),
            Entry("keep-onset", "Recording", "Keep onset", "K", c.keep_onset),
            Entry("drop-onset", "Recording", "Drop onset", "Delete", c.drop_onset),
            Entry("find-hits", "Recording", "Find hits", "", c.find_hits),
            Entry("", "Recording"),
            Entry("mute", "Recording", "Mute", "M", c.mute),
            Entry("solo", "Recording", "Solo", "S", c.solo),
            Entry("louder", "Recording", "Louder by 1 dB", "Ctrl+Up", lambda: c.level(1)),
            Entry("softer", "Recording", "Softer by 1 dB", "Ctrl+Down", lambda: c.level(-1)),
            Entry("lock", "Recording", "Lock with the track below", "Ctrl+L", c.lock_with_next),
            Entry("remove-track", "Recording", "Remove track", "Ctrl+Delete", c.remove_track),
            Entry("beat-one", "Timing", "Beat one here", "B", c.beat_one),
            Entry("use-measured", "Timing", "Use measured tempo and beat one", "U", c.use_measured),
            Entry("tap", "Timing", "Tap", "T", c.tap),
            Entry("halve", "Timing", "Half", "", lambda: c.scale_tempo(0.5)),
            Entry("double", "Timing", "Double", "", lambda: c.scale_tempo(2.0)),
            Entry("", "Timing"),
            Entry("earlier", "Timing", "Nudge hit 1 ms earlier", "Up", lambda: c.nudge(-1)),
            Entry("later", "Timing", "Nudge hit 1 ms later", "Down", lambda: c.nudge(1)),
            Entry("reset-hit", "Timing", "Reset hit", "Backspace", c.reset_hit),
            Entry("reset-hits", "Timing", "Reset all", "Ctrl+Backspace", c.reset_hits),
            Entry("play", "Playback", "Play or stop", "Space", transport.toggle),
            Entry("return", "Playback", "Return", "Home", transport.go_back),
            Entry("loop", "Playback", "Loop", "L", c.loop, lambda: self.desk.session.is_looping),
            Entry("click", "Playback", "Click", "C", c.click, lambda: self.desk.session.click.is_on),
            Entry("listen", "Playback", "As played or edited", "A", c.listen),
            *stages,
            Entry("", "View"),
            Entry("zoom-in", "View", "Zoom in", "+, =", lambda: view.zoom(ZOOM_STEP, self._playhead_x())),
            Entry("zoom-out", "View", "Zoom out", "-", lambda: view.zoom(1 / ZOOM_STEP, self._playhead_x())),
            Entry("fit", "View", "Whole take", "F", view.fit),
            Entry("track-below", "View", "Next track", "PgDown", lambda: view.focus_next(1)),
            Entry("track-above", "View", "Previous track", "PgUp", lambda: view.focus_next(-1)),
            Entry(
                "night",
                "View",
                "Night",
                "Ctrl+T",
                self._toggle_theme,
                lambda: view.theme.name == "night",
            ),
            Entry("help", "Help", "Marks and mouse", "F1", self._help),
        ]

    # Showing

    def _show(self) -> None:
        history = self.desk.store.history
        table = self.actions_table
        undo, redo = history.undo_label, history.redo_label
        table.name("undo", f"Undo {undo}" if undo else "Undo", is_enabled=undo is not None)
        table.name("redo", f"Redo {redo}" if redo else "Redo", is_enabled=redo is not None)
        star = "*" if self.desk.store.is_modified else ""
        self.setWindowTitle(f"{star}{self.desk.workspace.title} – Chronotome")
        self._work.setCurrentIndex(1 if self.desk.session.tracks else 0)
        table.refresh()

    def _on_stage(self) -> None:
        stage = self.desk.view.stage
        self._tray.setCurrentIndex(list(Stage).index(stage))
        self.actions_table.refresh()

    def _on_theme(self) -> None:
        self.setStyleSheet(style_sheet(self.desk.view.theme))

    def _on_opened(self) -> None:
        view = self.desk.view
        view.select(None)
        view.focus_changed.emit()
        self.desk.transport.stop()
        self.desk.transport.go_to(0)
        view.fit()
        folder = self.desk.workspace.folder
        if folder is not None:
            self.settings = with_recent(self.settings, folder)
            save_settings(self.settings)
        self._show()

    def _on_source(self, _content: str) -> None:
        self.desk.rendering.ask()
        viewport = self.desk.view.viewport
        if viewport.end < 100:
            self.desk.view.fit()

    def _playhead_x(self) -> float | None:
        viewport = self.desk.view.viewport
        x = viewport.x_of(self.desk.transport.position)
        return x if 0 <= x <= viewport.width else None

    def _tell(self, sentence: str) -> None:
        self.status.tell(sentence, is_important=True)

    def _on_error(self, sentence: str) -> None:
        """What went wrong, to which file, and what to do: stays until it was read."""
        self._tell(sentence)
        box = QMessageBox(QMessageBox.Icon.NoIcon, "Chronotome", sentence, parent=self)
        box.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        box.open()

    def _on_exported(self, written: Written, proof: Proof) -> None:
        self.timeline.proof.show_proof(proof)
        self.rail.show_exported(written.path.name)
        self._tell(f"Wrote “{written.path}”")

    # Session

    def open(self, paths: list[Path]) -> None:
        self.desk.workspace.open(paths)

    def open_demo(self) -> None:
        self._when_safe(lambda: self.desk.workspace.open_session(DEMO_SESSION, as_copy=True))

    def restore(self, recovered: Recovered) -> None:
        """Bring back kept edits; their old journal is no longer needed."""
        self.desk.workspace.restore(recovered)
        discard(recovered.journal)
        self._tell(f"Brought back {recovered.edits} edits of “{recovered.history.session.name}”. Save them.")

    def _new(self) -> None:
        self._when_safe(self.desk.workspace.new)

    def _open(self) -> None:
        endings = " ".join(f"*{suffix}" for suffix in SUFFIXES)
        names, _ = QFileDialog.getOpenFileNames(
            self, "Open", str(Path.home()), f"Sound and sessions ({endings} session.json)"
        )
        if names:
            self._open_safely([Path(name) for name in names])

    def _open_folder(self) -> None:
        name = QFileDialog.getExistingDirectory(self, "Open session folder", str(Path.home()))
        if name:
            self._open_safely([Path(name)])

    def _open_safely(self, paths: list[Path]) -> None:
        if any(path.is_dir() or path.name.endswith(".json") for path in paths):
            self._when_safe(lambda: self.open(paths))
        else:
            self.open(paths)

    def _fill_recent(self) -> None:
        self._recent.clear()
        for name in self.settings.recent:
            action = self._recent.addAction(name)
            action.triggered.connect(lambda _checked=False, path=Path(name): self._open_safely([path]))
        self._recent.setEnabled(bool(self.settings.recent))

    def save(self) -> None:
        folder = self.desk.workspace.folder
        if folder is None:
            self._save_as()
        else:
            self.desk.workspace.save(folder)

    def _save_as(self) -> None:
        usual = str(Path.home() / self.desk.workspace.title)
        name, _ = QFileDialog.getSaveFileName(self, "Save session as a folder", usual)
        if name:
            self.desk.workspace.save(Path(name))
        else:
            self._after_save = None

    def _on_saved(self) -> None:
        folder = self.desk.workspace.folder
        if folder is not None:
            self.settings = with_recent(self.settings, folder)
            save_settings(self.settings)
            self._tell(f"Saved in “{folder}”")
        self._show()
        then, self._after_save = self._after_save, None
        if then is not None:
            then()

    def _when_safe(self, then: Callable[[], None]) -> None:
        """Do something that closes the session, after asking about edits that are not saved."""
        if not self.desk.store.is_modified:
            then()
            return
        box = QMessageBox(
            QMessageBox.Icon.NoIcon, "Chronotome", "There are edits that are not saved.", parent=self
        )
        box.setInformativeText("Save them first?")
        buttons = QMessageBox.StandardButton
        box.setStandardButtons(buttons.Save | buttons.Discard | buttons.Cancel)
        chosen = box.exec()
        if chosen == buttons.Save:
            self._after_save = then
            self.save()
        elif chosen == buttons.Discard:
            then()

    def _export(self) -> None:
        if self.desk.session.tracks:
            self.desk.view.show_stage(Stage.EXPORT)
            self.export_tray.ask_and_export()

    def _on_missing(self, missing: dict[str, str]) -> None:
        names = ", ".join(f"“{name}”" for name in missing.values())
        box = QMessageBox(QMessageBox.Icon.NoIcon, "Chronotome", f"Not found: {names}.", parent=self)
        box.setInformativeText("They stay silent until they are found. Point to the folder that holds them?")
        box.setStandardButtons(QMessageBox.StandardButton.Open | QMessageBox.StandardButton.Cancel)
        box.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        box.accepted.connect(self._find_missing)
        box.open()

    def _find_missing(self) -> None:
        if not self.desk.workspace.lost:
            self._tell("Every recording is there")
            return
        name = QFileDialog.getExistingDirectory(self, "Folder that holds the recordings", str(Path.home()))
        if name:
            self.desk.workspace.find_missing([Path(name)])

    # The rest

    def _toggle_theme(self) -> None:
        name = "day" if self.desk.view.theme.name == "night" else "night"
        self.settings = msgspec.structs.replace(self.settings, theme=name)
        save_settings(self.settings)
        self.desk.view.set_theme(THEMES[name])

    def _shortcuts(self) -> None:
        dialog = ShortcutsDialog(self.actions_table, self.settings.shortcuts, self)
        if dialog.exec():
            self.settings = msgspec.structs.replace(self.settings, shortcuts=dialog.shortcuts())
            save_settings(self.settings)
            self.actions_table.use_shortcuts(self.settings.shortcuts)

    def _help(self) -> None:
        HelpDialog(self).open()

    def _quit(self) -> None:
        self.close()

    def keyPressEvent(self, event: QKeyEvent) -> None:
        if event.key() == Qt.Key.Key_Escape:
            if not self.timeline.cancel_drag():
                self.desk.view.select(None)
        else:
            super().keyPressEvent(event)

    def dragEnterEvent(self, event: QDragEnterEvent) -> None:
        if event.mimeData().hasUrls():
            event.acceptProposedAction()

    def dropEvent(self, event: QDropEvent) -> None:
        paths = [Path(url.toLocalFile()) for url in event.mimeData().urls() if url.isLocalFile()]
        event.acceptProposedAction()
        if paths:
            self._open_safely(paths)

    def closeEvent(self, event: QCloseEvent) -> None:
        if self._is_closing or not self.desk.store.is_modified:
            self._shut_down()
            event.accept()
            return
        event.ignore()
        self._when_safe(self._close_for_good)

    def _close_for_good(self) -> None:
        self._is_closing = True
        self.close()

    def _shut_down(self) -> None:
        self.settings = msgspec.structs.replace(
            self.settings, grid_follows_zoom=self.desk.view.snap_follows_zoom
        )
        save_settings(self.settings)
        shut_down(self.desk.transport, self.desk, self._journal)


def shut_down(transport: Transport, desk: Desk, journal: Journal) -> None:
    """Stop everything that runs; the journal is not needed after an orderly end."""
    desk.tasks.close()
    transport.close()
    desk.rendering.close()
    journal.finish()
