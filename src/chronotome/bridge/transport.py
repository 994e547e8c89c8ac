"""Play, stop, loop and listen, in the session's terms."""

from PySide6.QtCore import QObject, QTimer, Signal

from chronotome.bridge.store import Store
from chronotome.engine.control import InTime
from chronotome.engine.player import Player, PlayerState
from chronotome.render.arena import Arena, Region
from chronotome.render.click import count_in
from chronotome.render.mix import Side
from chronotome.session.anchors import extent_of
from chronotome.session.follow import follows_song, moved_with
from chronotome.session.model import Session

TICK_MILLISECONDS = 16
IDLE_MILLISECONDS = 250
FOLLOWING_MILLISECONDS = 40
"""While others may start it."""
START_MILLISECONDS = 400
"""After opening: the sound is wanted later than the picture."""


class Transport(QObject):
    """The player for the interface thread. The position is not session state."""

    moved = Signal(float)
    """The session frame that is heard now."""
    playing_changed = Signal(bool)
    side_changed = Signal(object)
    levels = Signal(float, float)
    device_changed = Signal()
    ended = Signal()
    """It stopped by itself, since there is nothing any more."""

    def __init__(self, store: Store, player: Player, arena: Arena, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self._store, self._player, self._arena = store, player, arena
        self._count: Region | None = None
        self._timer = QTimer(self)
        self._timer.timeout.connect(self._on_tick)
        self._timer.start(IDLE_MILLISECONDS)
        self._starting = QTimer(self)
        self._starting.setSingleShot(True)
        self._starting.timeout.connect(lambda: player.start(store.session.rate))
        self._started_at = 0.0
        self._until: float | None = None
        """Where it stops by itself."""
        self._last: PlayerState = player.state()
        self.position = 0.0
        self.is_playing = self.goes_on = False
        """The second: past the end, and where nothing is; while a take is recorded."""
        self.side = Side.EDITED
        store.changed.connect(self._on_session)
        store.watch(self, self._on_beats, lambda s: s.tempo, lambda s: s.metre, lambda s: s.rate)
        store.watch(
            self, self._on_loop, lambda s: s.loop, lambda s: s.is_looping, lambda s: s.tempo, lambda s: s.rate
        )

    def _on_session(self, before: Session, after: Session) -> None:
        """Stopped, the playhead stays at its bar when the song's tempo changes and something follows it.

        While it plays, the renderer moves it together with the sound. With another rate nothing plays on: the
        device starts anew.
        """
        if before.rate != after.rate and before.recordings:
            self.stop()
            ratio = after.rate / before.rate
            self._started_at, self.position = self._started_at * ratio, self.position * ratio
            self.moved.emit(self.position)
        if before.tempo == after.tempo or before.rate != after.rate or not follows_song(after):
            return
        self._started_at = float(moved_with(round(self._started_at), before.tempo, after))
        if not self.is_playing:
            self.position = float(moved_with(round(self.position), before.tempo, after))
            self.moved.emit(self.position)

    @property
    def device(self) -> PlayerState:
        return self._last

    def play(self) -> None:
        """Play from the position; from the start where it is past the end."""
        session = self._store.session
        if not session.tracks and not self.goes_on:
            return
        self._starting.stop()
        self._player.start(session.rate)
        at = 0.0 if self.position >= extent_of(session) and not self.goes_on else self.position
        self._started_at = at
        self._player.play(max(0, int(at)), self._counted(at))
        self._set_playing(is_playing=True)

    def _counted(self, at: float) -> Region | None:
        """The count-in before a frame, in memory that the player reads."""
        if not self._store.session.click.count_in:
            return None
        samples = count_in(self._store.session, at)
        if self._count is not None:
            self._arena.free(self._count)
        self._count = self._arena.allocate(*samples.shape)
        self._count.samples[:] = samples
        return self._count

    def play_between(self, start: float, end: float) -> None:
        """Play from one session frame to another, once."""
        self.go_to(start)
        if not self.is_playing:
            self.play()
        self._until = end

    def stop(self) -> None:
        self._until = None
        self._player.stop()
        self._set_playing(is_playing=False)

    def toggle(self) -> None:
        if self.is_playing:
            self.stop()
        else:
            self.play()

    def go_to(self, frame: float) -> None:
        """Put the playhead at a session frame, playing or not."""
        self.position, self._until = max(0.0, frame), None
        self._started_at = self.position
        if self.is_playing:
            self._player.play(int(self.position))
        else:
            self._player.seek(int(self.position))
        self.moved.emit(self.position)

    def go_back(self) -> None:
        """Return: to where it was started, and from there to the loop's or the session's start."""
        session = self._store.session
        start = 0.0
        if session.is_looping and session.loop is not None:
            start = max(0.0, session.frame_of(session.loop.start))
        self.go_to(start if abs(self.position - self._started_at) < 1 else self._started_at)

    def hear(
        self, region: Region, start: int, end: int, gain: float = 1.0, *, loops: int = 0, since: int = 0
    ) -> None:
        """Let a span of samples sound at once, over whatever plays; see `Player.hear`."""
        self._player.hear(region, start, end, gain, loops=loops, since=since)

    @property
    def heard_now(self) -> float:
        """The session frame that is heard at this very moment, not at the last tick."""
        state = self._player.state()
        return state.position if state.is_playing else self.position

    @property
    def block(self) -> int:
        """Samples that the device asks for at once."""
        return self._player.block

    @property
    def latency(self) -> float:
        """Seconds from an order to its sound, by what the device says of itself."""
        return self._player.latency

    def listen(self, side: Side) -> None:
        if side is not self.side:
            self.side = side
            self._player.listen(side)
            self.side_changed.emit(side)

    def close(self) -> None:
        self._timer.stop()
        self._starting.stop()
        self._player.close()

    def _set_playing(self, *, is_playing: bool) -> None:
        if self.is_playing != is_playing:
            self.is_playing = is_playing
            self._set_interval()
            self.playing_changed.emit(is_playing)

    def _on_loop(self) -> None:
        session = self._store.session
        if self._player.is_started or self._player.is_in_process:
            self._player.start(session.rate)
        else:  # its process would take a core from the window that opens
            self._starting.start(START_MILLISECONDS)
        if session.loop is None or not session.is_looping:
            self._player.set_loop(0, 0)
            return
        start, end = (
            max(0, round(session.frame_of(beat))) for beat in (session.loop.start, session.loop.end)
        )
        self._player.set_loop(start, end)

    @property
    def follows(self) -> bool:
        """Whether others may start and stop it."""
        return self._player.wanted_in_time is not InTime.NOTHING

    def keep_in_time(self, wanted: InTime) -> None:
        """Start, stop and be at a place together with others."""
        self._player.keep_in_time(wanted)
        self._set_interval()

    def _set_interval(self) -> None:
        idle = FOLLOWING_MILLISECONDS if self.follows else IDLE_MILLISECONDS
        self._timer.setInterval(TICK_MILLISECONDS if self.is_playing else idle)

    def _follow(self, last: PlayerState, state: PlayerState) -> None:
        """Others started or stopped it, or went elsewhere while it stands."""
        if state.is_playing != last.is_playing:
            self._started_at = self._started_at if self.is_playing else state.position
            self._set_playing(is_playing=state.is_playing)
        if not state.is_playing and not self.is_playing and state.position != last.position:
            self.position = state.position
            self.moved.emit(self.position)

    def _on_beats(self) -> None:
        self._player.set_beats(self._store.session.tempo, self._store.session.metre)

    def _on_tick(self) -> None:
        if self._player.revive():
            self.device_changed.emit()
        state = self._player.state()
        last, self._last = self._last, state
        told = (state.device, state.dropouts, state.is_ready, state.holds_block)
        if told != (last.device, last.dropouts, last.is_ready, last.holds_block):
            self.device_changed.emit()
        self.levels.emit(state.left, state.right)
        if self.follows:
            self._follow(last, state)
        if self._until is not None and self.is_playing and state.position >= self._until:
            self.stop()
        if self.is_playing and state.is_playing:
            self.position = state.position
            self.moved.emit(self.position)
            session = self._store.session
            is_past = state.position > extent_of(session) + session.rate
            if is_past and not session.is_looping and not self.goes_on and not self.follows:
                self.stop()
                self.ended.emit()
