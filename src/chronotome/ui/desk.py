"""Everything long-lived that the widgets share, handed down as one value."""

from dataclasses import dataclass

from chronotome.bridge.rendering import Rendering
from chronotome.bridge.store import Store
from chronotome.bridge.tasks import Tasks
from chronotome.bridge.transport import Transport
from chronotome.bridge.workspace import Workspace
from chronotome.session.model import Session
from chronotome.ui.view_state import ViewState


@dataclass(frozen=True, eq=False)
class Desk:
    store: Store
    view: ViewState
    transport: Transport
    workspace: Workspace
    tasks: Tasks
    rendering: Rendering

    @property
    def session(self) -> Session:
        return self.store.session
