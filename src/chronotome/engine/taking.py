"""Recording in the audio process: an input is opened when it is wanted, what it hears goes into the ring."""

from collections import deque

import numpy as np

from chronotome.dsp.audio import Curve, Samples
from chronotome.engine.control import Control, Word
from chronotome.engine.input import Input, PortAudioInput, SimulatedInput
from chronotome.engine.jack_client import JackClient
from chronotome.engine.jack_sound import JACK, JackInput
from chronotome.engine.kit_table import Note, NoteKind
from chronotome.engine.monitor import Monitor
from chronotome.errors import DeviceUnavailable
from chronotome.render.take_ring import TakeWord

MARK_SECONDS = 0.1
"""So often it is told which session frame was heard when a frame of the take came in."""
NONE, REAL, SIMULATED = range(3)


class InputCapture:
    """Looks at what is wanted, from the audio process's main loop; hears in the input's thread."""

    def __init__(
        self,
        control: Control,
        floats: Curve,
        notes: "deque[Note]",
        monitor: Monitor,
        *,
        block: int,
        device: str | None = None,
    ) -> None:
        self._control, self._floats, self._notes, self._block = control, floats, notes, block
        self._device = device
        self.jack: JackClient | None = None
        """Whose input is meant, where none is named."""
        self._monitor = monitor
        self._input: Input | None = None
        self._is_for = NONE
        self._marked = -1
        self._told_at = 0.0

    def look(self) -> None:
        """Open or close the input, as is wanted."""
        wanted = self._control.get(Word.INPUT_WANTED)
        if wanted == self._is_for:
            return
        self.close()
        self._is_for = wanted
        if wanted != NONE:
            self._input = self._opened(wanted)

    @property
    def is_real(self) -> bool:
        """Whether a real input is open."""
        return self._input is not None and not isinstance(self._input, SimulatedInput)

    def close(self) -> None:
        if self._input is not None:
            self._input.stop()
            self._input = None
            self._control.input.text = ""
            self._monitor.drop()

    def _opened(self, wanted: int) -> Input:
        """The input that is wanted, or the simulated one with the reason; it hears."""
        rate, why = self._control.get(Word.RATE), ""
        if wanted == REAL:
            try:
                found = self._real(rate)
                found.start()
            except DeviceUnavailable:
                why = ": no sound input"
            else:
                self._control.input.text = found.words
                return found
        self._control.input.text = SimulatedInput.words + why
        stand_in = SimulatedInput(self.hear, self._control, self._floats, block=self._block)
        stand_in.start()
        return stand_in

    def _real(self, rate: int) -> Input:
        if self.jack is not None and self._device in {None, JACK}:
            return JackInput(self.hear, self.jack, rate)
        if self._device == JACK:
            raise DeviceUnavailable("no JACK server")
        return PortAudioInput(self.hear, rate=rate, block=self._block, device=self._device)

    def hear(self, block: Samples, came: float) -> None:
        """A block from the input: told how loud it is; while a take is recorded, put into its ring."""
        ring = self._control.take
        peak = int(1e6 * float(np.abs(block).max(initial=0.0)))
        ring.set(TakeWord.PEAK, max(peak, ring.get(TakeWord.PEAK)))
        self._monitor.put(block)
        if not ring.get(TakeWord.IS_ON):
            self._marked = -1
            return
        if self._marked < 0 or came - self._told_at >= MARK_SECONDS:
            self._marked, self._told_at = ring.get(TakeWord.HEAD), came
            self._notes.append(Note(NoteKind.TAKE, self._marked, stamp=round(came * 1e9)))
        ring.put(block)
