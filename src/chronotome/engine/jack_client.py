"""One client of a JACK server, PipeWire's too: sound, notes, clock and transport share its cycles."""

import contextlib
import ctypes
import threading
import time
from collections import deque
from collections.abc import Callable, Iterable, Sequence
from typing import Any

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.engine.beat_table import BeatTable
from chronotome.engine.block_clock import BELIEVED
from chronotome.engine.jack_transport import JackTransport
from chronotome.engine.mixer import Target
from chronotome.engine.streams import Hear, Process
from chronotome.errors import DeviceUnavailable
from chronotome.render.mix import OUT_CHANNELS, Heard

NAME = "Chronotome"
CAPTURE, PLAYBACK = 0, 1
"""Directions of latency."""
SIDES = "left", "right"
HANGING_SECONDS = 3.0
"""A server that ends says so; one that has not called for so long hangs."""
OPEN_SECONDS = 3.0
"""A server that does not answer for so long hangs: nobody waits for it."""
MOST_FRAMES = 8192
LOOKS = 8
"""Of a moment and a frame at once, the quickest of which is believed."""
Take = Callable[[bytes, int, float], None]
"""Takes a message, with its moment in nanoseconds of the monotonic clock and in seconds of the server's."""
WRAP = 1 << 32
"""Frames are counted by 32 bits: a day at 48 kHz."""
MOST_BYTES = 3
"""Longer messages are none that we know."""


class JackClient:
    """Ports, and what is done with them in each cycle. JACK's thread calls `_on_cycle`, ours `poll`.

    Ports are there while somebody uses them.
    """

    def __init__(self) -> None:
        client, jack = _opened()
        self._client, self._jack = client, jack
        self.rate = int(client.samplerate)
        self._frames_late = _latency_of(jack)
        self._pair = (0, 0)
        self._asks = threading.RLock()
        """One request to the server at a time: its socket takes no turns by itself."""
        self.main: list[Any] = []
        self.heard: list[Any] = []
        self.keys: Any = None
        self.clock: Any = None
        self._play: Process | None = None
        self._hear: Hear | None = None
        self.before: Callable[[int], None] | None = None
        """What comes first in each cycle, of so many frames: the transport."""
        self._take: Take | None = None
        self._sent: deque[tuple[float, bytes]] = deque()
        self.has_news = threading.Event()
        """Ports came or went, or the server is gone."""
        self.dropouts = 0
        """Cycles that the server left out."""
        self._apart: tuple[tuple[Target, list[Any]], ...] = ()
        self.is_gone = False
        self.has_other_ports = True
        """Whether some came or went since somebody looked."""
        self._line = -1
        """Where the next cycle begins by the server's counter."""
        self._passed = self._strange = self._held_frames = 0
        self._held: Samples = np.zeros((MOST_FRAMES, OUT_CHANNELS), np.float32)
        """A block that came in a cycle of which it is not known yet whether one was left out before it."""
        self._called = time.monotonic()
        self.out_latency = self.in_latency = 0.0
        self._is_out_wired = self._is_in_wired = False
        self._out: Samples = np.zeros((MOST_FRAMES, OUT_CHANNELS), np.float32)
        self._in: Samples = np.zeros((MOST_FRAMES, OUT_CHANNELS), np.float32)
        client.set_process_callback(self._on_cycle)
        client.set_shutdown_callback(self._on_shutdown)
        client.set_port_registration_callback(self._on_ports, only_available=False)
        self._look_at_clock()
        client.activate()
        self.poll()

    @property
    def frames(self) -> int:
        """Of a cycle."""
        return int(self._client.blocksize)

    @property
    def is_alive(self) -> bool:
        return not self.is_gone and time.monotonic() - self._called < HANGING_SECONDS

    def close(self) -> None:
        """Silence; the ports are gone."""
        if not self.is_gone:
            self._client.deactivate()
            self._client.close()

    # Ports

    def open_output(self, play: Process) -> None:
        """What it fills sounds from now on."""
        self.main = self._registered(self._client.outports, "main")
        self._play = play
        self.poll()

    def open_apart(self, wanted: Sequence[tuple[int, str]]) -> list[Target]:
        """A pair of outputs for each bus, by name; what is there already stays, and so do its cables."""
        known = {
            (min(target.heard.buses), ports[0].shortname): (target, ports) for target, ports in self._apart
        }
        kept, gone = [], list(self._apart)
        for bus, name in wanted:
            found = known.get((bus, f"{name} {SIDES[0]}"))
            if found is None:
                ports = self._registered(self._client.outports, name)
                block: Samples = np.zeros((MOST_FRAMES, OUT_CHANNELS), np.float32)
                found = Target(block, Heard(frozenset([bus]), is_without=False)), ports
            else:
                gone.remove(found)
            kept.append(found)
        self._apart = tuple(kept)
        for _, ports in gone:
            self._unregister(ports)
        return [target for target, _ in kept]

    def open_input(self, hear: Hear) -> None:
        """What comes in is handed over from now on."""
        self.heard = self._registered(self._client.inports, "in")
        self._held_frames = 0
        self._hear = hear
        self.poll()

    def close_input(self) -> None:
        """It hears no more."""
        self._hear, self._is_in_wired = None, False
        gone, self.heard = self.heard, []
        self._unregister(gone)

    def open_midi(self, take: Take, sent: deque[tuple[float, bytes]]) -> None:
        """Messages are taken from now on, and what is sent goes out: moments in seconds, messages."""
        (self.clock,) = self._registered(self._client.midi_outports, "clock", ("",))
        (self.keys,) = self._registered(self._client.midi_inports, "keys", ("",))
        self._take, self._sent, self.has_other_ports = take, sent, True

    def close_midi(self) -> None:
        """No more."""
        gone, self.keys, self.clock = (self.keys, self.clock), None, None
        self._unregister(gone)

    def _registered(self, kind: Any, name: str, sides: Sequence[str] = SIDES) -> list[Any]:
        """New ports; raises DeviceUnavailable where the server takes none, for it is going."""
        with self._asks:
            try:
                return [kind.register(f"{name} {side}".rstrip()) for side in sides]
            except self._jack.JackError as error:
                raise DeviceUnavailable(f"JACK takes no port ({error})") from error

    def _unregister(self, ports: Iterable[Any]) -> None:
        for port in ports:
            with self._asks, contextlib.suppress(self._jack.JackError):
                port.unregister()

    def transport(self, rate: int, beats: BeatTable) -> JackTransport:
        """Start, stop and place of all on the server, in frames of a session at a rate."""
        return JackTransport(self._client, self._jack, self._asks, rate, beats)

    def wire(self, *, is_in: bool) -> bool:
        """Connect to the card's ports, the first two; False where there are none."""
        ports = self._client.get_ports(is_audio=True, is_physical=True, is_input=not is_in, is_output=is_in)
        if not ports:
            return False
        ours = self.heard if is_in else self.main
        for mine, theirs in zip(ours, ports if len(ports) > 1 else ports * 2, strict=False):
            with (
                self._asks,
                contextlib.suppress(self._jack.JackError),
            ):  # it is already, or they went meanwhile
                self._client.connect(*((theirs, mine) if is_in else (mine, theirs)))
        return True

    @property
    def has_card(self) -> bool:
        """Whether there is something that sounds."""
        return bool(self._client.get_ports(is_audio=True, is_physical=True, is_input=True))

    def sources(self) -> list[Any]:
        """Ports that notes come from."""
        found = self._client.get_ports(is_midi=True, is_output=True)
        return [each for each in found if not self._client.owns(each.name)]

    def targets(self) -> list[Any]:
        """Ports that a clock can go to."""
        found = self._client.get_ports(is_midi=True, is_input=True)
        return [each for each in found if not self._client.owns(each.name)]

    def join(self, source: Any, target: Any, *, is_joined: bool) -> None:
        """Connect two ports, or no more."""
        with self._asks, contextlib.suppress(self._jack.JackError):  # it is already, or one is gone
            (self._client.connect if is_joined else self._client.disconnect)(source, target)

    # Time

    def moment_of(self, frame: int) -> float:
        """The moment of the monotonic clock, in seconds, of a frame of the server's counter."""
        known, at = self._pair
        since = (frame - known + WRAP // 2) % WRAP - WRAP // 2
        return at / 1e9 + since / self.rate

    def poll(self) -> None:
        """Look at clocks and latencies again, and wire what is not wired yet; not in JACK's thread."""
        if self.is_gone:
            return
        self._look_at_clock()
        if self.main:
            self._is_out_wired = self._is_out_wired or self.wire(is_in=False)
            self.out_latency = self._latency(self.main[0], PLAYBACK)
        if self.heard:
            self._is_in_wired = self._is_in_wired or self.wire(is_in=True)
            self.in_latency = self._latency(self.heard[0], CAPTURE)

    def _latency(self, port: Any, direction: int) -> float:
        """Seconds; two cycles where a server says nonsense."""
        told = self._frames_late(port, direction) / self.rate
        return told if 0.0 <= told < BELIEVED[1] else 2 * self.frames / self.rate

    def _look_at_clock(self) -> None:
        looks = []
        for _ in range(LOOKS):
            before = time.monotonic_ns()
            frame = int(self._client.frame_time)
            after = time.monotonic_ns()
            looks.append((after - before, frame, (before + after) // 2))
        self._pair = min(looks)[1:]

    # In JACK's threads

    def _on_cycle(self, frames: int) -> None:
        self._called = time.monotonic()
        began = int(self._client.last_frame_time)
        left_out = self._left_out(began, frames)
        moment = self.moment_of((self._line - frames) % WRAP)
        keys, clock, hear, play = self.keys, self.clock, self._hear, self._play
        if keys is not None:
            self._arrive(keys, frames, moment)
        if self.before is not None:
            self.before(frames)
        base = moment
        if hear is not None:
            self._come_in(hear, frames, left_out, moment - self.in_latency)
        if play is not None:
            base += self.out_latency
            self._go_out(play, frames, left_out, base)
        if clock is not None:
            self._send(clock, frames, base)

    def _left_out(self, began: int, frames: int) -> int:
        """Frames that the server left out, once two cycles say so: a late one reads the next one's place."""
        if self._line < 0:
            self._line = began
        off = (began - self._line + WRAP // 2) % WRAP - WRAP // 2
        left_out = off if off and off == self._strange else 0
        self._strange = off - left_out
        self._line = (self._line + left_out + frames) % WRAP
        self._passed += left_out + frames
        return max(0, left_out)

    def _come_in(self, hear: Hear, frames: int, left_out: int, came: float) -> None:
        """Frames that the server left out are silent: what comes after them stays where it came in."""
        before = came - self._held_frames / self.rate
        left = left_out if left_out <= self.rate else 0
        while left:
            count = min(left, MOST_FRAMES)
            silence = self._in[:count]
            silence.fill(0)
            hear(silence, before - left / self.rate)
            left -= count
        if self._held_frames:
            hear(self._held[: self._held_frames], before)
            self._held_frames = 0
        heard = self._held[:frames] if self._strange else self._in[:frames]
        heard[:, 0], heard[:, 1] = (port.get_array() for port in self.heard)
        if self._strange:
            self._held_frames = frames
        else:
            hear(heard, came)

    def _go_out(self, play: Process, frames: int, left_out: int, when: float) -> None:
        out = self._out[:frames]
        if play(out, when) and left_out:
            self.dropouts += 1
        for block, ports in (
            (out, self.main),
            *((target.out[:frames], each) for target, each in self._apart),
        ):
            for side, port in enumerate(ports):
                port.get_array()[:] = block[:, side]

    def _arrive(self, keys: Any, frames: int, moment: float) -> None:
        for at, data in keys.incoming_midi_events():
            if self._take is not None and len(data) <= MOST_BYTES:
                since = (at - frames) / self.rate  # they came in the cycle before
                self._take(bytes(data), round(1e9 * (moment + since)), self._passed / self.rate + since)

    def _send(self, clock: Any, frames: int, base: float) -> None:
        """What is due in this cycle goes out at its frame."""
        clock.clear_buffer()
        last = 0
        while self._sent:
            moment, data = self._sent[0]
            at = round((moment - base) * self.rate)
            if at >= frames:
                break
            self._sent.popleft()
            last = max(last, at)
            with contextlib.suppress(self._jack.JackError):  # no room
                clock.write_midi_event(last, data)

    def _on_shutdown(self, _status: Any, _why: str) -> None:
        self.is_gone = True
        self.has_news.set()

    def _on_ports(self, _port: Any, _is_new: bool) -> None:  # noqa: FBT001 - JACK's
        self.has_other_ports = True
        self.has_news.set()


def _latency_of(jack: Any) -> Callable[[Any, int], int]:
    """The longest latency of a port in frames: what the library's binding leaves out."""
    ask = ctypes.CDLL(jack._libname).jack_port_get_latency_range  # noqa: SLF001 - it has no public name
    ask.argtypes = [ctypes.c_void_p, ctypes.c_int, ctypes.POINTER(ctypes.c_uint32)]
    ask.restype = None
    told = (ctypes.c_uint32 * 2)()

    def latency(port: Any, direction: int) -> int:
        ask(int(jack._ffi.cast("uintptr_t", port._ptr)), direction, told)  # noqa: SLF001 - the same
        return int(told[1])

    return latency


_hanging: list[threading.Thread] = []
"""Asking a server that hangs never ends: it is asked once, by a thread that waits for it."""


def close_opened() -> None:
    """Look whether a server answers; raises DeviceUnavailable where none does."""
    client, _ = _opened()
    client.close()


def _opened() -> tuple[Any, Any]:
    """A client that is not active yet, and the library."""
    if any(thread.is_alive() for thread in _hanging):
        raise DeviceUnavailable("JACK does not answer")
    found: list[Any] = []

    def ask() -> None:
        try:
            import jack  # noqa: PLC0415 - looks for the system library when it is imported

            for kind in (jack.set_error_function, jack.set_info_function):
                kind(lambda _words: None)
            found.extend([jack.Client(NAME, no_start_server=True), jack])
        except Exception as error:  # noqa: BLE001 - no library, no server: whatever it is, there is none
            found.append(error)

    thread = threading.Thread(target=ask, name="jack", daemon=True)
    thread.start()
    thread.join(OPEN_SECONDS)
    if thread.is_alive():
        _hanging.append(thread)
        raise DeviceUnavailable("JACK does not answer")
    if len(found) == 1:
        raise DeviceUnavailable(f"no JACK server ({found[0]})")
    return found[0], found[1]
