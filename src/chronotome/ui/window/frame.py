"""The window as its parts know it: what they may ask of it, without knowing how it is built."""

from PySide6.QtWidgets import QMainWindow

from chronotome.ui.actions.actions import Actions
from chronotome.ui.actions.learning import Learning
from chronotome.ui.commands.general import Commands
from chronotome.ui.commands.session_files import SessionFiles
from chronotome.ui.panels.rail import Rail
from chronotome.ui.panels.side import SidePanel
from chronotome.ui.panels.status_line import StatusLine
from chronotome.ui.panels.transport_bar import TransportBar
from chronotome.ui.stages.export import ExportTray
from chronotome.ui.stages.mark import MarkTray
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.timeline import Timeline
from chronotome.ui.window.trays import Trays
from chronotome.words import tr


class Frame(QMainWindow):
    """Is built by `MainWindow`, the one class below this one."""

    desk: UiContext
    commands: Commands
    actions_table: Actions
    learning: Learning
    session_files: SessionFiles
    transport: TransportBar
    rail: Rail
    timeline: Timeline
    trays: Trays
    status: StatusLine
    is_first: bool
    """Whether no other window opened this one on its session: it alone opens, saves and ends."""
    rail_side: SidePanel
    tray_side: SidePanel

    @property
    def sides(self) -> tuple[SidePanel, SidePanel]:
        return self.rail_side, self.tray_side

    @property
    def mark_tray(self) -> MarkTray:
        tray = self.trays[Stage.MARK]
        assert isinstance(tray, MarkTray)  # noqa: S101 - as the window was built
        return tray

    @property
    def export_tray(self) -> ExportTray:
        tray = self.trays[Stage.EXPORT]
        assert isinstance(tray, ExportTray)  # noqa: S101 - as the window was built
        return tray

    @property
    def is_large(self) -> bool:
        """Whether the lanes of one track have all of the window."""
        return self.timeline.is_alone

    def toggle_large(self) -> None:
        """The lanes of the track alone: no tray, no stage cards, no other tracks; keys go on working."""
        is_large = not self.is_large
        self.timeline.stand_alone(is_alone=is_large)
        for side in self.sides:
            side.press(is_pressed=is_large)
        self.rail_side.changed.emit()
        if is_large:
            self.tell(tr("Large lanes: F9 shows all again. Rest the pointer on a rim for its panel."))

    def toggle_side(self, side: SidePanel) -> None:
        """Fold it to its rim, or give it its room again."""
        self.leave_large()
        side.fold(is_folded=not side.is_folded)
        side.changed.emit()

    def tell(self, sentence: str) -> None:
        """In the status line."""
        self.status.tell(sentence, is_important=True)

    def leave_large(self) -> None:
        """Tray and cards are wanted."""
        if self.is_large:
            self.toggle_large()

    def bring_tray(self) -> None:
        """Into sight, with room of its own."""
        self.leave_large()
        if self.tray_side.is_folded:
            self.toggle_side(self.tray_side)
