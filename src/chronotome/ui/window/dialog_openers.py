"""What opens beside the window: dialogs that stay, dialogs that ask, the walk; built when asked for."""

from collections.abc import Callable, Iterator
from functools import cached_property, partial
from typing import TYPE_CHECKING

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QScrollArea, QWidget

from chronotome.files.names import path_from, shown
from chronotome.ui.controls.fold import Fold
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.state.guarded import guard_overrides
from chronotome.ui.window.frame import Frame
from chronotome.words import tr

if TYPE_CHECKING:
    from pathlib import Path

    from PySide6.QtWidgets import QDialog

    from chronotome.ui.dialogs.batch import BatchDialog
    from chronotome.ui.dialogs.history import HistoryDialog
    from chronotome.ui.dialogs.manual import ManualDialog
    from chronotome.ui.dialogs.share import ShareDialog
    from chronotome.ui.state.view_state import Stage
    from chronotome.ui.window.walk import Walk


class DialogOpeners:
    """The window opens sooner without them."""

    def __init__(self, window: Frame) -> None:
        self._window, self._desk = window, window.desk

    def close(self) -> None:
        """With the window: what goes on without being seen ends."""
        if "sharing" in vars(self):
            self.sharing.close_for_good()

    def leave_walk(self) -> bool:
        """False where nobody walks."""
        is_on = "walk" in vars(self) and self.walk.is_on
        if is_on:
            self.walk.leave()
        return is_on

    def walks_on(self) -> bool:
        """A step further; False where nobody walks."""
        is_on = "walk" in vars(self) and self.walk.is_on
        if is_on:
            self.walk.card.next.click()
        return is_on

    def calibrate(self) -> None:
        """Measure how late a hand is that beats along."""
        from chronotome.ui.dialogs.calibration import CalibrationDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()

        dialog = CalibrationDialog(self._desk, self._window)
        if dialog.exec() and dialog.measured is not None:
            self._desk.preferences.keep(reaction_ms=dialog.measured)
            self._window.tell(
                tr("Onsets added by ear are placed {0:.0f} ms before the key press", dialog.measured)
            )

    def edit_preferences(self, row: str = "") -> None:
        from chronotome.ui.dialogs.preferences import PreferencesDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        dialog = PreferencesDialog(self._desk, self.calibrate, self._window)
        dialog.show_row(row)
        dialog.open()

    def edit_shortcuts(self) -> None:
        from chronotome.ui.dialogs.keys_and_marks import ShortcutsDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()

        preferences = self._desk.preferences
        dialog = ShortcutsDialog(self._window.actions_table, preferences.settings.shortcuts, self._window)
        if dialog.exec():
            preferences.keep(shortcuts=dialog.shortcuts())
            self._window.actions_table.use_shortcuts(preferences.settings.shortcuts)

    @cached_property
    def history(self) -> "HistoryDialog":
        """Built when it is asked for."""
        from chronotome.ui.dialogs.history import HistoryDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        return HistoryDialog(self._desk, self._window)

    @cached_property
    def sharing(self) -> "ShareDialog":
        """Built when it is asked for; it goes on while it is closed."""
        from chronotome.bridge.sharing import Sharing  # noqa: PLC0415 - seldom wanted
        from chronotome.ui.dialogs.share import ShareDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        return ShareDialog(
            self._desk, Sharing(self._desk.tasks, self._window), self._window.export_tray, self._window
        )

    def share(self) -> None:
        self.sharing.show()
        self.sharing.raise_()

    @cached_property
    def batch(self) -> "BatchDialog":
        """Built when it is asked for; it goes on while it is closed."""
        from chronotome.bridge.batching import Batching  # noqa: PLC0415 - seldom wanted
        from chronotome.ui.dialogs.batch import BatchDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        return BatchDialog(self._desk, Batching(self._desk.tasks, self._window), self._window)

    def show_batch(self) -> None:
        self.batch.show()
        self.batch.raise_()

    def show_history(self) -> None:
        self.history.show()
        self.history.raise_()

    def show_bound(self) -> None:
        """Which controls of MIDI devices are bound, and to what."""
        from chronotome.ui.dialogs.bound_controls import BoundControls  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        BoundControls(self._desk.preferences, self._window.learning, self._window).exec()

    def find_anything(self, over: "QDialog | None" = None) -> None:
        """Every action, value, track, section, page: over a dialog too, which ends where one is chosen."""
        from chronotome.ui.dialogs.finding import FindDialog, findable  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        items = findable(self._desk, self._window.commands, self._window.actions_table, self)
        dialog = FindDialog(items, self._window if over is None else over)
        if dialog.exec() and dialog.chosen is not None:
            if over is not None and over.isModal():
                over.reject()
            dialog.chosen.do()

    def sliders(self) -> Iterator[tuple[ValueSlider, str]]:
        """Those of all stages that can be moved now, and the words of their stage."""
        for stage, tray in self._window.trays.items():
            for slider in tray.findChildren(ValueSlider):
                if slider.isEnabled() and slider.isVisibleTo(tray):
                    yield slider, stage.words

    def type_tempo(self) -> None:
        """The keys are in the song's tempo."""
        self._window.transport.tempo.setFocus(Qt.FocusReason.ShortcutFocusReason)
        self._window.transport.tempo.enter()

    def show_control(self, control: QWidget) -> None:
        """In its stage, what it lies in unfolded, with the keys on it."""
        for stage, tray in self._window.trays.items():
            if tray.isAncestorOf(control):
                self._desk.view.show_stage(stage)
                for fold in tray.findChildren(Fold):
                    if fold.body.isAncestorOf(control):
                        fold.setChecked(True)
        self._window.tray_side.come_out()
        control.setFocus(Qt.FocusReason.ShortcutFocusReason)
        parent = control.parentWidget()
        while parent is not None and not isinstance(parent, QScrollArea):
            parent = parent.parentWidget()
        if parent is not None:
            parent.ensureWidgetVisible(control)

    def show_setting(self, stage: "Stage", name: str) -> None:
        """The control that does an action, or has a name, in the tray of a stage."""
        tray = self._window.trays[stage]
        buttons = self._window.actions_table.buttons(name)
        named = (each for each in tray.findChildren(QWidget) if each.accessibleName() == name)
        found = next((each for each in (*buttons, *named) if tray.isAncestorOf(each)), None)
        if found is not None:
            self.show_control(found)

    def pages(self) -> Iterator[tuple[str, Callable[[], object]]]:
        """Pages of the manual."""
        from chronotome.ui.dialogs.manual import pages  # noqa: PLC0415 - seldom wanted

        for page, words in pages():
            yield words, partial(self.show_page, page)

    def show_page(self, page: "Path") -> None:
        self.manual.show_file(page)
        self.manual.show()
        self.manual.raise_()

    def recent(self) -> Iterator[tuple[str, Callable[[], object]]]:
        """Sessions and recordings that were opened lately."""
        settings = self._desk.preferences.settings
        for name in (*settings.recent, *settings.recent_files):
            path = path_from(name)
            yield shown(path.name), partial(self._window.session_files.open_safely, [path])

    def show_about(self) -> None:
        from chronotome.ui.dialogs.about import AboutDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        AboutDialog(self._window).open()

    @cached_property
    def manual(self) -> "ManualDialog":
        """Built when it is asked for."""
        from chronotome.ui.dialogs.manual import ManualDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        return ManualDialog(self._desk.view, self._window)

    def show_manual(self) -> None:
        """At the page of the stage that is shown; the contents where there is no recording yet."""
        self.manual.show_page(self._desk.view.stage if self._desk.session.tracks else None)
        self.manual.show()
        self.manual.raise_()

    def show_help(self) -> None:
        from chronotome.ui.dialogs.keys_and_marks import HelpDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()

        HelpDialog(self._window).open()

    @cached_property
    def walk(self) -> "Walk":
        """The walk through the window, step by step."""
        from chronotome.ui.window.walk import Walk, steps_of  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        walk = Walk(self._window, self._desk.view, steps_of(self._window))
        self._desk.store.changed.connect(self._end_walk_without_tracks)
        return walk

    def _end_walk_without_tracks(self) -> None:
        """What it points at is not there."""
        if not self._desk.session.tracks:
            self.leave_walk()

    def walk_through(self) -> None:
        """On the demo, which is opened where it is not what is open."""
        self._window.leave_large()
        if self._desk.session.tracks:
            self.walk.start()
        else:
            self._window.session_files.open_demo()
            self._desk.document.opened.connect(
                self.walk.start, Qt.ConnectionType(Qt.ConnectionType.SingleShotConnection)
            )
