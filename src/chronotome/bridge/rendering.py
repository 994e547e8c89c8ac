"""Keeps the player's mix up with the session."""

import threading
import time
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field

from PySide6.QtCore import QObject, QTimer, Signal

from chronotome.bridge.store import Store
from chronotome.engine.latest import Latest
from chronotome.engine.player import Player
from chronotome.errors import ChronotomeError
from chronotome.render.arena import Arena, Region
from chronotome.render.mix import Mix
from chronotome.render.plan import plan_for
from chronotome.render.pool import Pool
from chronotome.render.renderer import Renderer, Sources
from chronotome.session.follow import follows_song, moved_with
from chronotome.session.grid import TempoMap
from chronotome.session.limits import ContentHash
from chronotome.session.model import Session
from chronotome.session.rough_joins import RoughJoins

CALM_MILLISECONDS = 120
"""Without a move, after which a hand rests."""
MANY_HITS = 4000
"""From so many on the mix waits for the hand to rest: working it out beside the window slows the window down
to a quarter (they share one interpreter)."""

FIRST_SECONDS = 0.010
"""For which an edit waits for its sound before the window goes on: both share one interpreter, and taking
turns within milliseconds takes far longer than one after the other."""

WINDOW_SECONDS = 0.002
"""For which the rest of an edit's sound waits for the window in turn."""


@dataclass(frozen=True, eq=False)
class RenderRequest:
    session: Session
    sources: Sources
    near: int
    is_heard: threading.Event = field(default_factory=threading.Event)
    """The player has its first mix, or there will be none."""


class Rendering(QObject):
    """Asks for a mix whenever the session is another; hands what comes to the player at once."""

    rendered = Signal(object)
    """The whole mix of the newest request is with the player."""
    started = Signal()
    checked = Signal()
    """It is known which joins of it are above the proof, and they are others than before."""
    refused = Signal(str)
    """What there is cannot be heard, and why."""
    _done = Signal(object, object)
    _checked = Signal(object, object)
    _failed = Signal(object)

    def __init__(
        self, store: Store, pool: Pool, player: Player, arena: Arena, parent: QObject | None = None
    ) -> None:
        super().__init__(parent)
        self._store, self._pool, self._player = store, pool, player
        self._renderer = Renderer(arena)
        self._latest: Latest[RenderRequest] = Latest(self._work, self._failed.emit, name="render")
        self._retired: list[Region] = []
        self._contents: set[ContentHash] = set()
        self._is_tidy = True
        self._last_serial_with: dict[int, int] = {}
        self.is_current = False
        self._newest: RenderRequest | None = None
        self.rough: tuple[RoughJoins, ...] = ()
        """Joins above the proof in the newest mix."""
        self._checked.connect(self._on_checked)
        self._done.connect(self._on_done)  # queued: the worker emits it
        self._failed.connect(self._on_failed)
        self._tempo: TempoMap | None = None
        self._calm = QTimer(self)
        self._calm.setSingleShot(True)
        self._calm.setInterval(CALM_MILLISECONDS)
        self._calm.timeout.connect(self.ask)
        store.changed.connect(self._on_change)

    def _on_change(self) -> None:
        """What moves under a hand is heard at once; where it is very much, as soon as the hand rests."""
        if self._store.is_drafting and _hits_of(self._store.session) >= MANY_HITS:
            self.is_current = False
            self._latest.drop()
            self._calm.start()
        else:
            self.ask()

    def ask(self) -> None:
        """Render the session as it is now."""
        self._calm.stop()
        session = self._store.session
        near = int(self._player.state().position)
        self.is_current = False
        self.started.emit()
        self._newest = RenderRequest(session, self._pool.ready(), near)
        self._latest.ask(self._newest)
        self._newest.is_heard.wait(FIRST_SECONDS)

    def wait(self, seconds: float = 10.0) -> bool:
        """Wait until what was asked for is with the player."""
        return self._latest.wait_idle(seconds)

    def close(self) -> None:
        self._latest.close()

    def retire(self, regions: Sequence[Region]) -> None:
        """Free samples that no session needs any more, once the player has moved on."""
        self._retired.extend(regions)

    def _work(self, request: RenderRequest, is_wanted: Callable[[], bool]) -> None:
        try:
            self._render(request, is_wanted)
        finally:
            request.is_heard.set()

    def _render(self, request: RenderRequest, is_wanted: Callable[[], bool]) -> None:
        self._free_retired(request)
        mixes: list[Mix] = []

        def publish(mix: Mix) -> None:
            mixes.append(mix)
            for source in request.sources.values():
                self._last_serial_with[id(source.region)] = mix.serial
            self._player.publish(mix, moved if len(mixes) == 1 else None)  # it moves with the first mix only
            self._tempo = request.session.tempo
            if not request.is_heard.is_set():
                request.is_heard.set()
                time.sleep(WINDOW_SECONDS)

        moved = self._moved(request.session)
        near = request.near if moved is None else moved(request.near)
        plan = plan_for(request.session)
        self._renderer.render(plan, request.sources, publish, near, is_wanted)
        if is_wanted():
            self._done.emit(request, mixes[-1])
            self._checked.emit(request, self._renderer.rough(plan, is_wanted))

    def _on_failed(self, error: Exception) -> None:
        """What is too much is told; a fault of ours is raised where others are. The next edit is heard."""
        if isinstance(error, ChronotomeError):
            self.refused.emit(str(error))
        else:
            raise error

    def _moved(self, session: Session) -> Callable[[int], int] | None:
        """What keeps the playhead at its bar when the song's tempo changes and something follows the song."""
        before = self._tempo
        if before is None or before == session.tempo or not follows_song(session):
            return None
        return lambda position: moved_with(position, before, session)

    def _free_retired(self, request: RenderRequest) -> None:
        released = self._player.released_serial
        self._renderer.cache.release(released)
        contents = request.sources.keys()
        if contents != self._contents:
            self._is_tidy, self._contents = False, set(contents)
        if not self._is_tidy:
            self._is_tidy = self._renderer.cache.keep_only(contents)
        used = {id(source.region) for source in request.sources.values()}
        waiting, self._retired = self._retired, []
        for region in waiting:
            if id(region) in used or self._last_serial_with.get(id(region), 0) > released:
                self._retired.append(region)
            else:
                self._renderer.arena.free(region)
                self._last_serial_with.pop(id(region), None)

    def _on_checked(self, request: RenderRequest, rough: tuple[RoughJoins, ...]) -> None:
        if request is self._newest and rough != self.rough:
            self.rough = rough
            self.checked.emit()

    def _on_done(self, request: RenderRequest, mix: Mix) -> None:
        if request is self._newest:
            self.is_current = True
            self.rendered.emit(mix)


def _hits_of(session: Session) -> int:
    """Candidates on all tracks, each time that they are laid."""
    hits = {recording.content: len(recording.onsets) for recording in session.recordings}
    return sum(hits[take.recording] for track in session.tracks for take in track.takes)
