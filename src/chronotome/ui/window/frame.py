"""The window as its parts know it: what they may ask of it, without knowing how it is built."""

from PySide6.QtWidgets import QMainWindow

from chronotome.ui.actions.actions import Actions
from chronotome.ui.actions.learning import Learning
from chronotome.ui.commands.general import Commands
from chronotome.ui.commands.session_files import SessionFiles
from chronotome.ui.panels.rail import Rail
from chronotome.ui.panels.side import SidePanel
from chronotome.ui.panels.transport_bar import TransportBar
from chronotome.ui.stages.export import ExportTray
from chronotome.ui.stages.tray import Tray
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.timeline import Timeline


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
    trays: dict[Stage, Tray]
    export_tray: ExportTray
    rail_side: SidePanel
    tray_side: SidePanel

    @property
    def sides(self) -> tuple[SidePanel, SidePanel]:
        return self.rail_side, self.tray_side

    @property
    def is_first(self) -> bool:
        """Whether no other window opened this one on its session: it alone opens, saves and ends."""
        raise NotImplementedError

    @property
    def is_large(self) -> bool:
        """Whether lanes alone are in sight."""
        raise NotImplementedError

    def toggle_large(self) -> None:
        raise NotImplementedError

    def toggle_side(self, side: SidePanel) -> None:
        """Fold it to its rim, or give it its room again."""
        self.leave_large()
        side.fold(is_folded=not side.is_folded)
        side.changed.emit()

    def tell(self, sentence: str) -> None:
        """In the status line."""
        raise NotImplementedError

    def leave_large(self) -> None:
        """Tray and cards are wanted."""
        if self.is_large:
            self.toggle_large()

    def bring_tray(self) -> None:
        """Into sight, with room of its own."""
        self.leave_large()
        if self.tray_side.is_folded:
            self.toggle_side(self.tray_side)
