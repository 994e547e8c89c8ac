"""Sound devices behind one interface: the real one and the simulated one."""

import contextlib
import ctypes
import math
import threading
import time
from collections.abc import Callable
from typing import Any, Protocol

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.engine.block_clock import BlockClock
from chronotome.engine.other_rate import OtherRate
from chronotome.engine.quiet import silent_stderr
from chronotome.engine.streams import Process
from chronotome.errors import DeviceUnavailable
from chronotome.render.mix import OUT_CHANNELS

LEAST_PERIODS = 2
CALM_BLOCK = 512
CALM_SECONDS = 0.1
"""Blocks of 512 frames and more are for calm playing: so much lies ready that a stall is not heard."""
SIMULATED_TIMES = 3
"""The stand-in runs on machines that stall for 200 ms now and then; nobody waits for its sound."""
STALLED_BLOCKS = 50


TRIED_SECONDS = 1.0, 2.0
"""From when to when after its start it is looked whether a device leaves gaps, be it in silence."""
SILENT_SECONDS = 2.0
"""A device that has not called for so long, beside four times its latency, is dead, whatever it says.

PulseAudio takes a second between the first blocks and the next ones when its sink begins.
"""
INVALID_RATE = "Invalid sample rate"
LOST = 3
"""What the audio process ends with where its device is dead: closing that may never return."""
JACK_NAME = b"Chronotome\0"


def portaudio(*, is_anew: bool = False) -> Any:
    """PortAudio; begun anew, it sees servers and devices that came since. No stream may be open then."""
    import sounddevice  # noqa: PLC0415 - looks for the system library when it is imported

    if is_anew:
        sounddevice._terminate()  # noqa: SLF001 - it has no public name
    with contextlib.suppress(OSError, AttributeError):  # built without JACK
        ctypes.CDLL("libportaudio.so.2").PaJack_SetClientName(JACK_NAME)
    if is_anew:
        sounddevice._initialize()  # noqa: SLF001 - the same
    return sounddevice


def buffer_seconds(block: int, rate: int) -> float:
    """How much should lie ready; 0 for as little as the device can do."""
    return CALM_SECONDS if block * 48000 >= CALM_BLOCK * rate else 0.0


class Output(Protocol):
    """A device that pulls blocks. `dropouts` counts those that came too late, from frames, not from flags."""

    words: str

    @property
    def dropouts(self) -> int: ...

    @property
    def latency(self) -> float: ...

    @property
    def holds(self) -> bool | None:
        """Whether it plays its block without gaps; None while that is tried."""
        ...

    def start(self) -> None: ...

    def stop(self) -> None: ...

    @property
    def is_alive(self) -> bool: ...


class SimulatedOutput:
    """A sound card made of a thread and the monotonic clock.

    It pulls blocks a few periods ahead of its play head, keeps what it played on a tape, plays silence for a
    block that came too late, and counts it. `step` pulls blocks without a clock.
    """

    words = "simulated output"
    holds = True

    def __init__(self, process: Process, *, rate: int, block: int, tape: Samples | None = None) -> None:
        self._process = process
        self._rate, self._block = rate, block
        self._tape = tape
        self._out = np.zeros((block, OUT_CHANNELS), np.float32)
        self._quit = threading.Event()
        self._thread: threading.Thread | None = None
        calm = SIMULATED_TIMES * buffer_seconds(block, rate)
        self._periods = max(LEAST_PERIODS, math.ceil(calm * rate / block))
        self.latency = self._periods * block / rate
        self.dropouts = 0
        self.blocks = 0

    @property
    def is_alive(self) -> bool:
        return self._thread is not None and self._thread.is_alive()

    @property
    def played(self) -> int:
        """Frames on the tape, which starts anew when it is full."""
        return self.blocks * self._block

    def start(self) -> None:
        self._quit.clear()
        self._thread = threading.Thread(target=self._run, name="simulated output", daemon=True)
        self._thread.start()

    def stop(self) -> None:
        self._quit.set()
        if self._thread is not None:
            self._thread.join()
            self._thread = None

    def step(self, blocks: int = 1) -> None:
        """Pull blocks now, in this thread."""
        for _ in range(blocks):
            self._pull(time.monotonic() + self.latency, None)

    def _pull(self, when: float, deadline: float | None) -> None:
        sounds = self._process(self._out, when)
        if sounds and deadline is not None and time.monotonic() > deadline:
            self.dropouts += 1
            self._out.fill(0)  # a card would have played silence
        if self._tape is not None:
            at = self.played % (len(self._tape) // self._block * self._block)
            self._tape[at : at + self._block] = self._out
        self.blocks += 1

    def _run(self) -> None:
        period = self._block / self._rate
        began, number = time.monotonic(), 0
        while not self._quit.is_set():
            due = began + (self._periods + number) * period
            now = time.monotonic()
            if now > due + STALLED_BLOCKS * period:  # the machine was asleep: a card starts anew
                began += now - due
                due = now
            wait = due - self._periods * period - now
            if wait > 0:
                self._quit.wait(wait)
            self._pull(due, due)
            number += 1


def at_any_rate(open_at: Callable[[int], Any], usual: Callable[[], float], rate: int) -> tuple[Any, int]:
    """A stream at the session's rate, else at the one that its device has; and at which it is."""
    try:
        return open_at(rate), rate
    except Exception as error:
        other = round(usual()) if INVALID_RATE in str(error) else rate
        if other == rate:
            raise
        return open_at(other), other


def rate_words(name: str, rate: int, device_rate: int) -> str:
    """A device, and its rate where that is another one."""
    return name if rate == device_rate else f"{name}, resampled to {device_rate / 1000:g} kHz"


class PortAudioOutput:
    """The real device, through PortAudio; resampled where it has another rate than the session."""

    def __init__(
        self, process: Process, *, rate: int, block: int, device: str | None = None, is_anew: bool = False
    ) -> None:
        self._called = time.monotonic()
        self._next_due: float | None = None
        self._has_finished = False
        self._began, self._gaps = self._called, 0
        self.dropouts = 0
        with silent_stderr():
            try:
                sounddevice = portaudio(is_anew=is_anew)

                def open_at(samplerate: int) -> Any:
                    return sounddevice.OutputStream(
                        samplerate=samplerate,
                        blocksize=block,
                        device=device,
                        channels=OUT_CHANNELS,
                        dtype="float32",
                        latency=buffer_seconds(block, samplerate) or "low",
                        callback=self._on_block,
                        finished_callback=self._on_finished,
                        prime_output_buffers_using_stream_callback=False,
                    )

                def usual() -> float:
                    return float(sounddevice.query_devices(device, "output")["default_samplerate"])

                self._stream, self._rate = at_any_rate(open_at, usual, rate)
            except Exception as error:
                raise DeviceUnavailable(f"no sound device could be opened ({error})") from error
        self._other = None if self._rate == rate else OtherRate(process, rate, self._rate)
        self._process = process if self._other is None else self._other.process
        self._clock = BlockClock(self._rate, float(self._stream.latency), block)
        name = sounddevice.query_devices(self._stream.device)["name"]
        self.words = rate_words(str(name), rate, self._rate)

    def start(self) -> None:
        self._began = self._called = time.monotonic()
        with silent_stderr():
            try:
                self._stream.start()
            except Exception as error:
                raise DeviceUnavailable(f"the sound device does not start ({error})") from error

    def stop(self) -> None:
        with silent_stderr(), contextlib.suppress(Exception):
            self._stream.close()

    @property
    def latency(self) -> float:
        """As measured, often more than the device's own word; and what lies ready where rates differ."""
        return self._clock.latency + (0.0 if self._other is None else self._other.lead)

    @property
    def is_alive(self) -> bool:
        is_called = time.monotonic() - self._called < SILENT_SECONDS + 4 * self.latency
        return is_called and not self._has_finished and bool(self._stream.active)

    @property
    def holds(self) -> bool | None:
        """Whether it left no gaps in its second second."""
        return None if time.monotonic() - self._began < TRIED_SECONDS[1] else not self._gaps

    def _on_finished(self) -> None:
        self._has_finished = True

    def _on_block(self, out: Samples, frames: int, times: Any, _status: Any) -> None:
        now = self._called = time.monotonic()
        due = times.outputBufferDacTime
        is_late = self._next_due is not None and due - self._next_due > 1.5 * frames / self._rate
        self._next_due = due + frames / self._rate
        first, last = TRIED_SECONDS
        self._gaps += is_late and first < now - self._began < last
        when = self._clock.sounds_at(now, due - times.currentTime, frames)
        if self._process(out, when) and is_late:
            self.dropouts += 1  # the device has gone on without us; its own flag misses most of these
