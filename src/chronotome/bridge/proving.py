"""The proof of what is heard, kept up with the session while somebody looks at it."""

from collections.abc import Callable
from dataclasses import dataclass, replace

from PySide6.QtCore import QObject, QTimer, Signal

from chronotome.bridge.rendering import Rendering
from chronotome.bridge.store import Store
from chronotome.engine.latest import Latest
from chronotome.errors import Cancelled
from chronotome.render.arena import Arena
from chronotome.render.join_report import JoinReport, proof_of
from chronotome.render.mix import Mix
from chronotome.render.plan import plan_for
from chronotome.render.renderer import OfflineMix
from chronotome.session.model import Session

REST_MILLISECONDS = 250
"""After the last mix: a hand that goes on is not measured at each step."""
CLICK_LANES = 2


@dataclass(frozen=True, eq=False)
class JoinCheckRequest:
    session: Session
    mix: Mix


class Proving(QObject):
    """Reads the newest mix once it rests; what an edit makes old is dropped at once."""

    proved = Signal(object)
    """The proof of the session as it is; None while it is not known."""
    progressed = Signal(float)
    _done = Signal(object, object)
    _failed = Signal(object)

    def __init__(self, store: Store, rendering: Rendering, arena: Arena, parent: QObject) -> None:
        super().__init__(parent)
        self._store, self._arena = store, arena
        self._latest: Latest[JoinCheckRequest] | None = None
        self._mix: Mix | None = None
        self._newest: JoinCheckRequest | None = None
        self._is_wanted = False
        self.proof: JoinReport | None = None
        self._rest = QTimer(self)
        self._rest.setSingleShot(True)
        self._rest.setInterval(REST_MILLISECONDS)
        self._rest.timeout.connect(self._ask)
        rendering.started.connect(self._on_started)
        rendering.rendered.connect(self._on_rendered)
        self._done.connect(self._on_done)  # queued: the worker emits it
        self._failed.connect(self._on_failed)

    def want(self, *, is_wanted: bool) -> None:
        """Somebody looks at it, or nobody does any more."""
        self._is_wanted = is_wanted
        if not is_wanted:
            self._drop()
        elif self.proof is None and self._mix is not None:
            self._rest.start()

    def close(self) -> None:
        self._rest.stop()
        if self._latest is not None:
            self._latest.close()

    def _on_started(self) -> None:
        self._mix = None
        self._drop()
        self._tell(None)

    def _on_rendered(self, mix: Mix) -> None:
        self._mix = mix
        if self._is_wanted:
            self._rest.start()

    def _drop(self) -> None:
        self._rest.stop()
        self._newest = None
        if self._latest is not None:
            self._latest.drop()

    def _ask(self) -> None:
        session, mix = self._store.session, self._mix
        if mix is None or not session.tracks:
            return
        if self._latest is None:
            self._latest = Latest(self._work, self._failed.emit, name="proof")
        if session.click.is_on:  # it is never written, so it is not proved
            mix = replace(mix, lanes=mix.lanes[:-CLICK_LANES])
        self._newest = JoinCheckRequest(session, mix)
        self._latest.ask(self._newest)

    def _work(self, request: JoinCheckRequest, is_wanted: Callable[[], bool]) -> None:
        def progress(share: float) -> None:
            if not is_wanted():
                raise Cancelled
            self.progressed.emit(share)

        plan = plan_for(request.session)
        self._done.emit(request, proof_of(OfflineMix(request.mix, self._arena), plan, progress))

    def _on_done(self, request: JoinCheckRequest, proof: JoinReport) -> None:
        if request is self._newest:
            self._tell(proof)

    def _on_failed(self, error: Exception) -> None:
        """A fault of ours, raised where all others are."""
        raise error

    def _tell(self, proof: JoinReport | None) -> None:
        if proof is not self.proof:
            self.proof = proof
            self.proved.emit(proof)
