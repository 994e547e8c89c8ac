"""Sound inputs behind one interface: the real one, and one that plays a performance into the recorder."""

import threading
import time
from typing import Any, Protocol

import numpy as np

from chronotome.dsp.audio import Curve, Samples
from chronotome.engine.block_clock import BlockClock
from chronotome.engine.control import Control, Word
from chronotome.engine.other_rate import OtherRateHeard
from chronotome.engine.output import at_any_rate, rate_words
from chronotome.engine.quiet import silent_stderr
from chronotome.engine.streams import Hear
from chronotome.errors import DeviceUnavailable
from chronotome.render.mix import OUT_CHANNELS, fold_down

RESYNC_SECONDS = 0.02
SIMULATED_DELAY = 0.0075
"""By which what the simulated input hears comes later than it says, as converters do: to be measured."""


class Input(Protocol):
    """A device that hands over blocks."""

    words: str

    def start(self) -> None: ...

    def stop(self) -> None: ...


class SimulatedInput:
    """A performer who hears the song: plays a performance in time with it, as a microphone hears it.

    What is played at a session frame is the performance's frame of the same number. Without a performance it
    is a cable from the simulated output. Like a real one it comes later than it says.
    """

    words = "simulated input"

    def __init__(self, hear: Hear, control: Control, floats: Curve, *, block: int) -> None:
        self._hear, self._control, self._floats = hear, control, floats
        self._block = block
        self._quit = threading.Event()
        self._thread: threading.Thread | None = None
        self._next: int | None = None

    def start(self) -> None:
        self._thread = threading.Thread(target=self._run, name="simulated input", daemon=True)
        self._thread.start()

    def stop(self) -> None:
        self._quit.set()
        if self._thread is not None:
            self._thread.join(1.0)

    def _run(self) -> None:
        rate, number = self._control.get(Word.RATE), 0
        began = time.monotonic()
        while not self._quit.is_set():
            came = began + number * self._block / rate
            wait = came + self._block / rate - time.monotonic()
            if wait > 0:
                self._quit.wait(wait)
            self._hear(self._played(came, rate), came)
            number += 1

    def _played(self, came: float, rate: int) -> Samples:
        """What there is to be heard from a moment on."""
        control, block = self._control, self._block
        out = np.zeros((block, OUT_CHANNELS), np.float32)
        is_cable = not control.get(Word.INPUT_FRAMES)
        if not is_cable and not control.get(Word.IS_PLAYING):
            self._next = None
            return out
        place: float = control.get(Word.BLOCKS) * block
        if not is_cable:
            place = control.get(Word.POSITION) - control.get(Word.WAITING)
        place -= (control.get(Word.POSITION_TIME) / 1e9 - came + SIMULATED_DELAY) * rate
        if self._next is None or abs(place - self._next) > RESYNC_SECONDS * rate:
            self._next = round(place)
        start = self._next
        self._next += block
        return self._from_tape(out, start) if is_cable else self._from_performance(out, start)

    def _from_tape(self, out: Samples, start: int) -> Samples:
        """What the simulated output played: its tape starts anew when it is full."""
        tape = self._control.tape
        length = len(tape) // self._block * self._block
        if start >= 0:
            at = start % length
            first = min(len(out), length - at)
            out[:first] = tape[at : at + first]
            out[first:] = tape[: len(out) - first]
        return out

    def _from_performance(self, out: Samples, start: int) -> Samples:
        control = self._control
        channels, frames = max(1, control.get(Word.INPUT_CHANNELS)), control.get(Word.INPUT_FRAMES)
        low, high = max(0, start), min(frames, start + len(out))
        if high > low:
            offset = control.get(Word.INPUT_OFFSET)
            part = self._floats[offset + low * channels : offset + high * channels].reshape(-1, channels)
            if channels == OUT_CHANNELS:
                out[low - start : high - start] = part
            else:
                folded = part.repeat(2, 1) if channels == 1 else part @ fold_down(channels, OUT_CHANNELS)
                out[low - start : high - start] = folded
        return out


class PortAudioInput:
    """The real device, through PortAudio; one channel is heard on both sides."""

    def __init__(self, hear: Hear, *, rate: int, block: int, device: str | None = None) -> None:
        with silent_stderr():
            try:
                import sounddevice  # noqa: PLC0415 - looks for the system library when it is imported

                told = sounddevice.query_devices(device, "input")
                channels = min(OUT_CHANNELS, int(told["max_input_channels"]))

                def open_at(samplerate: int) -> Any:
                    return sounddevice.InputStream(
                        samplerate=samplerate,
                        blocksize=block,
                        device=device,
                        channels=max(1, channels),
                        dtype="float32",
                        latency="low",
                        callback=self._on_block,
                    )

                self._stream, at = at_any_rate(open_at, lambda: float(told["default_samplerate"]), rate)
            except Exception as error:
                raise DeviceUnavailable(f"no sound input could be opened ({error})") from error
        self._hear = hear if at == rate else OtherRateHeard(hear, rate, at).hear
        self._clock = BlockClock(at, 0.0, block)
        self.words = rate_words(str(told["name"]), rate, at)

    def start(self) -> None:
        try:
            self._stream.start()
        except Exception as error:
            raise DeviceUnavailable(f"the sound input does not start ({error})") from error

    def stop(self) -> None:
        with silent_stderr():
            self._stream.close()

    def _on_block(self, block: Samples, frames: int, times: Any, _status: Any) -> None:
        came = self._clock.came_at(time.monotonic(), times.currentTime - times.inputBufferAdcTime, frames)
        self._hear(block if block.shape[1] == OUT_CHANNELS else np.repeat(block, OUT_CHANNELS, axis=1), came)
