"""The child process in which sound is made: nothing that the window does can stall it."""

import contextlib
import ctypes
import gc
import os
import signal
import sys
import threading
import time
from collections.abc import Callable

from chronotome.dsp.audio import Curve
from chronotome.engine.control import LEFT_GAPS, Control, Word
from chronotome.engine.devices import PORTAUDIO_JACK
from chronotome.engine.in_time import InTimeWith
from chronotome.engine.jack_client import OPEN_SECONDS, JackClient
from chronotome.engine.jack_ports import JackPorts
from chronotome.engine.jack_sound import JACK, JackOutput
from chronotome.engine.midi import Midi
from chronotome.engine.midi_messages import MidiMessages
from chronotome.engine.mixer import Mixer
from chronotome.engine.output import LOST, Output, PortAudioOutput, SimulatedOutput
from chronotome.engine.quiet import keep_libraries_silent
from chronotome.engine.taking import InputCapture
from chronotome.errors import DeviceUnavailable
from chronotome.render.arena import Arena

POLL_SECONDS = 0.02
RETRY_SECONDS, SELDOM_SECONDS = 2.0, 10.0
"""How often a device is looked for that was lost, and one that never was there."""
HELD = {None: 0, True: 1, False: LEFT_GAPS}
AUTO, SIMULATED = "auto", "simulated"
PR_SET_PDEATHSIG = 1
NICER = -11


class OneJack:
    """The one client of a JACK server: whoever comes first opens it. Any thread may ask."""

    def __init__(self) -> None:
        self._lock = threading.Lock()
        self.client: JackClient | None = None

    def __call__(self) -> JackClient:
        """Raises DeviceUnavailable where no server answers."""
        if not self._lock.acquire(timeout=OPEN_SECONDS):  # somebody asks a server that hangs
            raise DeviceUnavailable("JACK does not answer")
        try:
            if self.client is None or self.client.is_gone:
                self.client = None
                self.client = JackClient()
            return self.client
        finally:
            self._lock.release()

    def poll(self) -> None:
        client = self.client
        if client is not None:
            client.poll()

    def close(self) -> None:
        if self.client is not None:
            self.client.close()


class Outputs:
    """Opens the device that is wanted: JACK where one is asked for or a server answers, else PortAudio's."""

    def __init__(self, mixer: Mixer, control: Control, jack: OneJack, wanted: str, block: int) -> None:
        self._mixer, self._control, self._jack = mixer, control, jack
        self._wanted = JACK if wanted.endswith(PORTAUDIO_JACK) else wanted
        self._block = block
        self._rate = control.get(Word.RATE)

    def real(self, *, is_anew: bool = False) -> Output:
        """A device that plays; raises DeviceUnavailable."""
        if self._wanted in {AUTO, JACK}:
            try:
                client = self._jack()
                if self._wanted == JACK or client.has_card:
                    jack = JackOutput(self._mixer.process, client, self._rate)
                    jack.start()
                    return jack
            except DeviceUnavailable:
                if self._wanted == JACK:
                    raise
        device = None if self._wanted == AUTO else self._wanted
        output = PortAudioOutput(
            self._mixer.process, rate=self._rate, block=self._block, device=device, is_anew=is_anew
        )
        output.start()
        return output

    def any(self, why: str) -> Output:
        """The one that is wanted, else the simulated one with the reason."""
        if self._wanted != SIMULATED:
            try:
                return self.real()
            except DeviceUnavailable as error:
                is_jack = self._wanted == JACK
                why = why or (str(error).partition(" (")[0] if is_jack else "no sound device")
        output = SimulatedOutput(
            self._mixer.process, rate=self._rate, block=self._block, tape=self._control.tape
        )
        if why:
            output.words = f"simulated output: {why}"
        output.start()
        return output


class Sound:
    """All that sounds, hears and is heard of in this process, looked after by one loop."""

    def __init__(self, control: Control, floats: Curve, wanted: str, heard: str, block: int) -> None:
        self._control, self._is_simulated_wanted = control, wanted == SIMULATED
        mixer = Mixer(control, floats)
        self._jack = OneJack()
        self._outputs = Outputs(mixer, control, self._jack, wanted, block)
        messages = MidiMessages(control, mixer.notes.append, mixer.orders)
        self._midi = Midi(control, messages, mixer.sent, self._jack)
        device = None if heard == AUTO else heard
        self._taking = InputCapture(control, floats, mixer.notes, mixer.monitor, block=block, device=device)
        self._in_time = InTimeWith(control, mixer)
        self._ports = JackPorts(control, mixer)
        self._lost = 0

    def serve(self, why: str, goes_on: Callable[[], bool]) -> None:
        """Play, hear and follow as long as it goes on; `why` says why there may be no device at first."""
        self._output = self._outputs.any(why)
        self._midi.start()  # after it: the sound is waited for
        self._tell()
        pause, tried = RETRY_SECONDS if why else SELDOM_SECONDS, time.monotonic()
        while goes_on():
            self._look()
            time.sleep(POLL_SECONDS)
            if not isinstance(self._output, SimulatedOutput):
                if not self._output.is_alive:
                    os._exit(LOST)  # closing it may never return: the player begins us anew
            elif not self._is_simulated_wanted and time.monotonic() - tried > pause:
                tried = time.monotonic()
                self._try_again()

    def close(self) -> None:
        self._in_time.close()
        self._output.stop()
        self._midi.stop()
        self._taking.close()
        self._jack.close()

    def _look(self) -> None:
        control, output = self._control, self._output
        control.put(Word.DROPOUTS, self._lost + output.dropouts)
        control.put(Word.LATENCY, int(output.latency * 1e9))
        control.put(Word.HELD, HELD[output.holds])
        if isinstance(output, SimulatedOutput):
            control.put(Word.PLAYED, output.played)
        self._jack.poll()
        self._taking.jack = output.client if isinstance(output, JackOutput) else None
        self._taking.look()
        self._in_time.look(output)
        self._ports.look(output)

    def _try_again(self) -> None:
        """Look for a real device in place of the simulated one."""
        if self._taking.is_real:
            return
        with contextlib.suppress(DeviceUnavailable):
            found = self._outputs.real(is_anew=True)
            self._lost += self._output.dropouts
            self._output.stop()
            self._output = found
            self._tell()

    def _tell(self) -> None:
        output, control = self._output, self._control
        control.text = output.words
        control.put(Word.LATENCY, int(output.latency * 1e9))
        control.put(Word.IS_SIMULATED, int(isinstance(output, SimulatedOutput)))
        control.put(Word.IS_READY, 1)


def run(  # noqa: PLR0917 - the words of its command line
    descriptors: tuple[int, int],
    parent: int,
    devices: tuple[str, str],
    rate: int,
    block: int,
    why: str = "",
) -> None:
    """Serve until told to quit, or until the parent is gone, be it while this process starts.

    `why` says why there may be no device: the process before was begun anew for that.
    """
    arena_descriptor, control_descriptor = descriptors
    signal.signal(signal.SIGINT, signal.SIG_IGN)
    ctypes.CDLL(None).prctl(PR_SET_PDEATHSIG, signal.SIGTERM)
    with contextlib.suppress(OSError):  # only where the system allows it
        os.nice(NICER)
    control = Control(control_descriptor)
    control.put(Word.RATE, rate)
    sound = Sound(control, Arena(arena_descriptor).floats, *devices, block)
    gc.collect()
    gc.freeze()
    gc.disable()  # before the first callback
    sound.serve(why, lambda: not control.get(Word.QUIT) and os.getppid() == parent)
    sound.close()


if __name__ == "__main__":
    keep_libraries_silent()
    arena, shared, parent_id, output_name, input_name, rate_words, block_words, reason = sys.argv[1:]
    run(
        (int(arena), int(shared)),
        int(parent_id),
        (output_name, input_name),
        int(rate_words),
        int(block_words),
        reason,
    )
