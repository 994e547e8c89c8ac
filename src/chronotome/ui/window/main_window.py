"""The window: menus, transport, rail, timeline, tray, status line; opening, saving, closing."""

import dataclasses
from functools import cached_property, partial
from pathlib import Path
from typing import TYPE_CHECKING

from PySide6.QtCore import QPointF, QSize, Qt, QTimer
from PySide6.QtGui import (
    QCloseEvent,
    QContextMenuEvent,
    QDragEnterEvent,
    QDragMoveEvent,
    QDropEvent,
    QGuiApplication,
    QKeyEvent,
    QKeySequence,
    QShortcut,
)
from PySide6.QtWidgets import (
    QDialog,
    QHBoxLayout,
    QMenu,
    QStackedWidget,
    QVBoxLayout,
    QWidget,
)

from chronotome.bridge.transport import Transport
from chronotome.engine.player import Player
from chronotome.files.audio_out import WrittenFile
from chronotome.files.journal import Journal, Recovered
from chronotome.files.marks import SUFFIXES as MARK_SUFFIXES
from chronotome.files.patterns import is_pattern
from chronotome.files.session_file import is_session
from chronotome.ui.actions.actions import Actions
from chronotome.ui.actions.learning import Learning
from chronotome.ui.actions.menus import RECENT, TEMPLATES
from chronotome.ui.actions.needs import needs_of
from chronotome.ui.commands.general import Commands
from chronotome.ui.commands.mark_files import MarkFiles
from chronotome.ui.commands.others import OtherCommands
from chronotome.ui.commands.session_files import SessionFiles
from chronotome.ui.commands.tour import Tour
from chronotome.ui.controls.debounce import Debounce
from chronotome.ui.controls.dropping import take_as_copy
from chronotome.ui.controls.field import Field
from chronotome.ui.dialogs.messages import Messages
from chronotome.ui.panels.rail import WIDTH as RAIL
from chronotome.ui.panels.rail import Rail
from chronotome.ui.panels.recent import recent_of
from chronotome.ui.panels.side import SidePanel, StagesRim, TrayRim
from chronotome.ui.panels.status_line import StatusLine
from chronotome.ui.panels.transport_bar import TransportBar
from chronotome.ui.panels.welcome import Welcome
from chronotome.ui.stages.export import ExportTray
from chronotome.ui.stages.fit import FitTray
from chronotome.ui.stages.mark import MarkTray
from chronotome.ui.stages.rework import ReworkTray
from chronotome.ui.stages.tighten import TightenTray
from chronotome.ui.stages.tray import WIDTH as TRAY
from chronotome.ui.stages.tray import Tray
from chronotome.ui.state.applying import theme_of
from chronotome.ui.state.figures import counted
from chronotome.ui.state.guarded import guard_overrides
from chronotome.ui.state.theme import style_sheet
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage, ViewState
from chronotome.ui.timeline.lane import Lane
from chronotome.ui.timeline.timeline import Timeline
from chronotome.ui.window.action_table import table_of
from chronotome.ui.window.context_menus import CONTEXT
from chronotome.ui.window.dialog_openers import DialogOpeners
from chronotome.ui.window.drag_out import DragOut
from chronotome.ui.window.escaping import Escaping, State
from chronotome.ui.window.file_menus import RecentMenu, TemplatesMenu
from chronotome.ui.window.frame import Frame
from chronotome.ui.window.restoring import Restoring
from chronotome.ui.window.trays import Trays
from chronotome.words import tr

if TYPE_CHECKING:
    from chronotome.ui.panels.shelf import ShelfPanel

SMALLEST = (1024, 700)
USUAL = (1280, 800)
RAIL_WIDTHS, TRAY_WIDTHS = (96, RAIL, 200), (280, TRAY, 480)
FRAME = 40
"""Pixels that desktops put above a window, at most: they are told of after it is shown."""


class MainWindow(Frame):
    others: OtherCommands

    def __init__(
        self, desk: UiContext, player: Player, journal: Journal, first: "MainWindow | None" = None
    ) -> None:
        """`first`: the window that opened this one on its session; it alone opens, saves and ends."""
        super().__init__()
        self.desk, self.player, self._journal, self.first = desk, player, journal, first
        self.second: MainWindow | None = None
        self.is_first = first is None
        self.commands = Commands(desk, None if first is None else first.commands)
        self.learning = Learning(desk, self, lambda: self.actions_table) if first is None else first.learning
        self.others = OtherCommands(desk) if first is None else first.others
        self.tour = Tour(desk, self)
        self._may_close = False
        self.messages = Messages(self)
        self.beside = DialogOpeners(self)
        self.session_files = SessionFiles(desk, self.tell) if first is None else first.session_files
        self.mark_files = MarkFiles(desk, self.commands.marks, self.tell)
        self._fit_the_screen()
        self.setAcceptDrops(True)
        self.actions_table = Actions(
            self,
            table_of(self, self.commands),
            desk.preferences.settings.shortcuts,
            self.tell,
            needs_of(desk, self.commands),
            settle=self.leave_field,
        )
        self.actions_table.takes = self.learning.takes
        lists = self._file_menus()
        self._menus = self.actions_table.fill(self.menuBar(), lists)
        self._refresh = Debounce(self.actions_table.refresh, self)
        QShortcut(QKeySequence("F10"), self, self._open_menus)
        self._build()
        desk.view.snap_follows_zoom = desk.preferences.settings.grid_follows_zoom
        desk.store.kept.connect(self._show)
        desk.view.stage_changed.connect(self._on_stage)
        desk.view.theme_changed.connect(self._on_theme)
        desk.view.context_wanted.connect(self._offer)
        desk.view.setting_wanted.connect(self.beside.show_setting)
        desk.document.opened.connect(self._on_opened)
        desk.document.saved.connect(self._show)
        desk.recordings.source_ready.connect(self._on_source)
        desk.transport.ended.connect(self._on_ended)
        if first is None:
            desk.tasks.error.connect(self._on_error)
            desk.rendering.refused.connect(self._on_error)
            hints = QGuiApplication.styleHints()
            hints.colorSchemeChanged.connect(self._on_desktop_theme)
            hints.accessibility().contrastPreferenceChanged.connect(self._on_desktop_theme)
        desk.store.refused.connect(self.tell)
        self.drag_out = DragOut(self, desk, lambda: self.export_tray.encoding, self._cancel_drag)
        self.restoring = Restoring(self, desk)
        self.escaping = self._make_escaping()
        self._on_theme()
        self._on_stage()
        self._show()
        self.setFocusPolicy(Qt.FocusPolicy.ClickFocus)
        self.setFocus()  # keys are the window's until somebody goes to a control

    # Building

    def _file_menus(self) -> dict[str, QMenu]:
        files = self.session_files
        self.recent = RecentMenu(files, lambda: self.desk.preferences.settings, self)
        self.templates = TemplatesMenu(files, self)
        return {RECENT: self.recent, TEMPLATES: self.templates}

    def _fit_the_screen(self) -> None:
        """As large as usual, but no larger, with its frame, than what is free on the screen it opens on."""
        room = self.screen().availableGeometry().size() - QSize(0, FRAME)
        if QGuiApplication.platformName() == "offscreen":  # its screen is made up
            room = QSize(*USUAL)
        self.setMinimumSize(QSize(*SMALLEST).boundedTo(room))
        self.resize(QSize(*USUAL).boundedTo(room))

    def _build(self) -> None:
        desk = self.desk
        self.transport = TransportBar(desk, self.actions_table)
        self.rail = Rail(desk)
        self.timeline = Timeline(desk, self.commands)
        self.status = StatusLine(desk)
        table, commands = self.actions_table, self.commands
        self.trays = Trays(
            {
                Stage.MARK: lambda: MarkTray(desk, table, commands),
                Stage.FIT: lambda: FitTray(desk, table, commands),
                Stage.TIGHTEN: lambda: TightenTray(desk, table, commands),
                Stage.REWORK: lambda: ReworkTray(desk, table, commands),
                Stage.EXPORT: self._make_export,
            }
        )
        self._work = QStackedWidget()
        self.welcome = self._welcome()
        self._work.addWidget(self.welcome)
        self._work.addWidget(self.timeline)
        self.decision = self.timeline.decision
        middle = QHBoxLayout()
        middle.setSpacing(0)
        self.rail_side = SidePanel(self.rail, desk.view, widths=RAIL_WIDTHS, left=True)
        self.tray_side = SidePanel(self.trays, desk.view, widths=TRAY_WIDTHS, left=False)
        middle.addWidget(self.rail_side)
        middle.addWidget(self._work, 1)
        middle.addWidget(self.tray_side)
        body = QWidget()
        layout = QVBoxLayout(body)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.setSpacing(0)
        layout.addWidget(self.transport)
        layout.addLayout(middle, 1)
        layout.addWidget(self.status)
        self.setCentralWidget(body)
        self.rail_side.stand_in(body, StagesRim(self.rail_side, self.rail, desk.view))
        self.tray_side.stand_in(body, TrayRim(self.tray_side, desk.view))
        desk.store.changed.connect(self.tray_side.update_rim)
        self.timeline.begin_behind(self.rail.cards[Stage.EXPORT])
        for side in self.sides:
            side.changed.connect(self.actions_table.refresh)

    def _welcome(self) -> Welcome:
        """What stands there before there is a recording."""
        files = self.session_files
        welcome = Welcome(self.desk.view)
        for title, words, do in (
            (
                tr("Open demo session"),
                tr("Harbour ferry: a street-percussion trio in a stairwell"),
                files.open_demo,
            ),
            (
                tr("Open files"),
                tr("Recordings or a session. You can also drop files here."),
                files.ask_and_open,
            ),
            (
                tr("Guided tour"),
                tr("Learn the window in nine steps, with the demo session"),
                self.beside.walk_through,
            ),
        ):
            welcome.add_card(title, words, do)
        welcome.forget.clicked.connect(self._forget_recent)
        return welcome

    def _show_recent(self) -> None:
        recent = recent_of(self.desk.preferences.settings)
        self.welcome.show_recent(recent, lambda folder: self.session_files.open_safely([folder]))

    def _forget_recent(self) -> None:
        self.session_files.forget_recent()
        self._show_recent()

    # Showing

    def _show(self) -> None:
        history = self.desk.store.history
        table = self.actions_table
        undo, redo = history.undo_label, history.redo_label
        table.name("undo", tr("Undo {0}", undo) if undo else tr("Undo"), is_enabled=undo is not None)
        table.name("redo", tr("Redo {0}", redo) if redo else tr("Redo"), is_enabled=redo is not None)
        star = "*" if self.desk.store.is_modified else ""
        title = self.desk.document.title if self.first is None else tr("{0} (2)", self.desk.document.title)
        self.setWindowTitle(tr("{0}{1} – Chronotome", star, title))
        has_tracks = bool(self.desk.session.tracks)
        if not has_tracks and (self._work.currentIndex() == 1 or not self.isVisible()):
            self._show_recent()
        self._work.setCurrentIndex(1 if has_tracks else 0)
        if not self.is_shelf_shown:
            self._show_tray()
        self._refresh.ask()

    def leave_field(self) -> None:
        """What is being typed is kept, before anything else is done."""
        field = self.focusWidget()
        if isinstance(field, Field):
            field.leave(is_kept=True)

    def _show_tray(self) -> None:
        """The stage's; with nothing open none, lest what was open before still stands in it."""
        tracks, stage = self.desk.session.tracks, self.desk.view.stage
        self.trays.show_stage(stage if tracks else None)

    def _on_stage(self) -> None:
        if self.is_shelf_shown:
            self.shelf.stop()
        self._want_proof()
        self.leave_field()
        self._show_tray()
        self.actions_table.refresh()

    def _want_proof(self) -> None:
        """As long as one of the windows shows Export."""
        first = self.first or self
        both = [first, *([first.second] if first.second is not None else [])]
        is_wanted = any(
            each.desk.view.stage is Stage.EXPORT and (each is first or each.isVisible()) for each in both
        )
        self.desk.proving.want(is_wanted=is_wanted)

    @cached_property
    def shelf(self) -> "ShelfPanel":
        """Built when it is asked for: the window opens sooner without it."""
        from chronotome.ui.panels.shelf import ShelfPanel  # noqa: PLC0415 - the same

        guard_overrides()

        shelf = ShelfPanel(self.desk, self.desk.preferences.settings.shelf, self.commands.grooves)
        shelf.folders_changed.connect(self._on_shelf_folders)
        shelf.taken.connect(self._on_taken)
        shelf.closed.connect(self.toggle_shelf)
        self.trays.addWidget(shelf)
        return shelf

    @property
    def is_shelf_shown(self) -> bool:
        return "shelf" in vars(self) and self.trays.currentWidget() is self.shelf

    def toggle_shelf(self) -> None:
        """The shelf stands in the tray's place until it is closed."""
        if self.is_shelf_shown:
            self.shelf.stop()
            self._show_tray()
        else:
            self.bring_tray()
            self.trays.setCurrentWidget(self.shelf)
            self.shelf.show_last()
        self.actions_table.refresh()

    def _on_taken(self, paths: list[Path]) -> None:
        """What was heard on the shelf has come in: it is no longer heard from there."""
        self.desk.shelf.stop()
        self.open(paths)

    def _on_shelf_folders(self, folders: tuple[str, ...]) -> None:
        self.desk.preferences.keep(shelf=folders)

    def _on_theme(self) -> None:
        self.setStyleSheet(style_sheet(self.desk.view.theme))

    def _on_desktop_theme(self) -> None:
        """The desktop went from light to dark, or back."""
        self.desk.view.set_theme(theme_of(self.desk.preferences.settings))

    def _on_opened(self) -> None:
        view = self.desk.view
        view.chosen.select(None)
        view.chosen.focus_changed.emit()
        if self.first is not None:
            view.sight.fit()
            self._show()
            return
        self.desk.shelf.stop()
        self.desk.transport.stop()
        self.desk.transport.go_to(0)
        view.sight.fit()
        self.restoring.opened()
        self.session_files.remember()
        self._show()
        if not self.desk.session.tracks:
            self._show_recent()

    def _on_source(self, _content: str) -> None:
        self.desk.rendering.ask()

    def _on_ended(self) -> None:
        """Who hears a loop wants it once more."""
        keys = self.actions_table.keys("loop")
        if keys and not self.desk.session.is_looping:
            self.status.tell(tr("That was the end. Press {0} to loop it.", keys))

    def playhead_x(self) -> float | None:
        viewport = self.desk.view.sight.viewport
        x = viewport.x_of(self.desk.transport.position)
        return x if 0 <= x <= viewport.width else None

    def _on_error(self, sentence: str) -> None:
        """What went wrong, to which file, and what to do: stays in a list until it was read."""
        self.tell(sentence)
        self.messages.add(sentence)

    def _make_export(self) -> Tray:
        tray = ExportTray(self.desk, self.actions_table)
        tray.exported.connect(self._on_exported)
        return tray

    def _on_exported(self, written: WrittenFile) -> None:
        self.rail.show_exported(written.path.name)
        self.tell(tr("Exported “{0}”", written.path))

    # Session

    def open(self, paths: list[Path]) -> None:
        self.session_files.open_now(self._without_patterns(paths))

    def _without_patterns(self, paths: list[Path]) -> list[Path]:
        """What is left once folders of patterns are brought in."""
        folders = [path for path in paths if not is_session(path) and is_pattern(path)]
        for folder in folders:
            self.commands.patterns.read(folder)
        return [path for path in paths if path not in folders]

    def restore(self, recovered: Recovered) -> None:
        """Bring back kept edits."""
        self.desk.document.restore(recovered)
        self.tell(
            tr(
                "Restored {0} of “{1}”. Save the session.",
                counted(recovered.edits, "edit"),
                recovered.history.session.name,
            )
        )

    def _open_menus(self) -> None:
        """The menus by key, where the desktop leaves F10 to the program."""
        bar = self.menuBar()
        bar.setFocus(Qt.FocusReason.MenuBarFocusReason)
        bar.setActiveAction(bar.actions()[0])

    def export(self) -> None:
        if self.desk.session.tracks:
            self.desk.view.show_stage(Stage.EXPORT)
            self.export_tray.ask_and_export()

    def export_stems(self) -> None:
        if self.desk.session.tracks:
            self.desk.view.show_stage(Stage.EXPORT)
            self.export_tray.ask_and_export_stems()

    # Marks

    def rename_track(self) -> None:
        """The name of the focused track, typed where it stands."""
        self.timeline.wave.type_name()

    # The rest

    def toggle_theme(self) -> None:
        name = "day" if self.desk.view.theme.is_dark else "night"
        self.desk.preferences.keep(theme=name)

    def toggle_full_screen(self) -> None:
        self.setWindowState(self.windowState() ^ Qt.WindowState.WindowFullScreen)

    def new_window(self) -> None:
        """Another stage of the same session, for another screen; closed it can be opened again."""
        if self.first is not None:
            self.first.raise_()
            self.first.activateWindow()
            return
        if self.second is None:
            self.second = self._make_second()
        self.second.show()
        self._want_proof()
        self.second.raise_()
        self.second.activateWindow()

    def _make_second(self) -> "MainWindow":
        here, store = self.desk.view, self.desk.store
        there = ViewState(store)
        there.theme = here.theme
        here.theme_changed.connect(lambda: there.set_theme(here.theme))
        if here.chosen.focused is not None:
            there.chosen.focus(here.chosen.focused.id)
        there.stage = Stage(int(here.stage) % len(Stage) + 1)
        made = MainWindow(dataclasses.replace(self.desk, view=there), self.player, self._journal, self)
        there.sight.fit()
        return made

    def usual_layout(self) -> None:
        """Panels and lanes as at first."""
        self.leave_large()
        for side in self.sides:
            side.drag_to(side.usual)
            side.fold(is_folded=False)
        self.timeline.stack.usual()
        self.actions_table.refresh()

    def go_to_next_panel(self, step: int) -> None:
        """The keys to the stages, the lanes, the tray, the transport, in turn; what is folded comes out."""
        panels = [self.rail, self._work, self.trays, self.transport]
        focus = self.focusWidget()
        at = next((place for place, each in enumerate(panels) if focus and each.isAncestorOf(focus)), 1)
        at = (at + step) % len(panels)
        for side in self.sides:
            if side.content is panels[at]:
                side.come_out()
            else:
                side.go_in()
        self._give_keys(panels[at])

    def _give_keys(self, panel: QWidget) -> None:
        """To what one begins with there."""
        if panel is self.rail:
            self.rail.cards[self.desk.view.stage].setFocus(Qt.FocusReason.TabFocusReason)
            return
        if panel is self._work:
            self.timeline.wave.setFocus(Qt.FocusReason.TabFocusReason)
            return
        for each in panel.findChildren(QWidget):
            takes_keys = each.focusPolicy() & Qt.FocusPolicy.TabFocus
            if takes_keys and each.isVisible() and each.isEnabled():
                each.setFocus(Qt.FocusReason.TabFocusReason)
                return

    def copy_as_files(self) -> None:
        self.drag_out.copy()

    def quit(self) -> None:
        (self.first or self).close()

    def keyPressEvent(self, event: QKeyEvent) -> None:
        """Escape ends a drag, the tour, else what began last; Enter says yes to what is asked."""
        if event.key() == Qt.Key.Key_Escape:
            if not (self._cancel_drag() or self.beside.leave_walk() or self.escaping.leave()):
                self.select_none()
            self.actions_table.refresh()
        elif event.key() in {Qt.Key.Key_Return, Qt.Key.Key_Enter} and self.beside.walks_on():
            return
        elif not self.decision.answers(event):
            super().keyPressEvent(event)

    def _make_escaping(self) -> Escaping:
        view, made = self.desk.view, Escaping(self)
        playing, learning, decision = self.commands.playing, self.learning, self.decision
        made.add(
            "asked", State(lambda: decision.about, partial(decision.answer, is_yes=False)), decision.asked
        )
        made.add("selection", State(self._selection, self.select_none), view.chosen.changed)
        made.add("keys", State(lambda: playing.is_on or None, playing.leave), self.desk.keys.changed)
        made.add("learning", State(lambda: learning.is_on or None, learning.end), learning.changed)
        for side in self.sides:
            made.add(side.content.objectName(), State(side.out_mark, side.go_in), side.came_out)
        return made

    def _selection(self) -> object:
        """What is selected; None: nothing."""
        chosen = self.desk.view.chosen
        return None if chosen.is_empty else chosen.selection

    def contextMenuEvent(self, event: QContextMenuEvent) -> None:
        """The ten things that one would do to what is under the pointer."""
        lane = self.childAt(event.pos())
        while lane is not None and not isinstance(lane, Lane):
            lane = lane.parentWidget()
        if lane is None or not self.desk.session.tracks or getattr(lane, "drag", None) is not None:
            return
        self._offer(lane, QPointF(lane.mapFrom(self, event.pos())))

    def _offer(self, lane: Lane, place: QPointF) -> None:
        names = CONTEXT.get(lane.offers_at(place.x(), place.y()), ())
        if names:
            self.actions_table.context(names, self).popup(lane.mapToGlobal(place).toPoint())

    def find_over(self, dialog: QDialog) -> None:
        self.beside.find_anything(dialog)

    def select_none(self) -> None:
        """Hits and steps, a range, clips, onsets."""
        view = self.desk.view
        view.chosen.let_go_of_hits()
        view.chosen.choose_range(None)
        view.chosen.choose_clips(())
        view.chosen.select(None)
        view.chosen.choose_beat(None)

    def _cancel_drag(self) -> bool:
        """False where nothing is being dragged."""
        sides = any(side.grip.cancel() for side in self.sides)
        return sides or self.timeline.cancel_drag() or self._cancel_lens()

    def _cancel_lens(self) -> bool:
        return Stage.MARK in self.trays.made and self.mark_tray.lens.cancel_drag()

    def undo(self) -> None:
        """While something is dragged it is that which is taken back, as by Escape."""
        if not self._cancel_drag():
            if self.desk.store.is_drafting:
                self.desk.store.drop_draft()
            else:
                self.desk.store.undo()

    def redo(self) -> None:
        if not self._cancel_drag():
            self.desk.store.redo()

    def dragEnterEvent(self, event: QDragEnterEvent) -> None:
        if event.mimeData().hasUrls():
            take_as_copy(event)

    def dragMoveEvent(self, event: QDragMoveEvent) -> None:
        take_as_copy(event)

    def dropEvent(self, event: QDropEvent) -> None:
        paths = [Path(url.toLocalFile()) for url in event.mimeData().urls() if url.isLocalFile()]
        take_as_copy(event)
        marks = [
            path for path in paths if path.suffix.lower() in MARK_SUFFIXES and path.suffix.lower() != ".wav"
        ]
        for path in marks:
            self.mark_files.bring(path)
        sounds = self._without_patterns([path for path in paths if path not in marks])
        if sounds:
            self.desk.shelf.stop()
            self.session_files.open_safely(sounds)

    def closeEvent(self, event: QCloseEvent) -> None:
        """The window goes when nothing is left to ask; Qt closes nothing from within a close."""
        self.leave_field()
        if self.first is not None:
            self.restoring.keep_geometry()
            event.accept()
            QTimer.singleShot(0, self, self._want_proof)  # once it is hidden
            return
        if self._may_close or not self.desk.store.is_modified:
            self._shut_down()
            event.accept()
            return
        event.ignore()
        self.session_files.when_safe(self._close_for_good)

    def _close_for_good(self) -> None:
        self._may_close = True
        self.close()
        self._may_close = False

    def _shut_down(self) -> None:
        if self.second is not None:
            self.second.close()
        self.restoring.close()
        self.desk.preferences.keep(grid_follows_zoom=self.desk.view.snap_follows_zoom)
        self.beside.close()
        shut_down(self.desk.transport, self.desk, self._journal)


def shut_down(transport: Transport, desk: UiContext, journal: Journal) -> None:
    """Stop everything that runs; the journal is not needed after an orderly end."""
    desk.taking.close()
    desk.tasks.close()
    transport.close()
    desk.proving.close()
    desk.rendering.close()
    desk.keys.close()
    desk.document.close()
    journal.finish()
