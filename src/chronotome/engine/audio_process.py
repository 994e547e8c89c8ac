"""The child process in which sound is made: nothing that the window does can stall it."""

import contextlib
import ctypes
import gc
import os
import signal
import sys
import time

from chronotome.engine.control import Control, Word
from chronotome.engine.midi import MidiInput
from chronotome.engine.mixer import Mixer
from chronotome.engine.output import LOST, AnotherRate, Output, PortAudioOutput, SimulatedOutput
from chronotome.engine.quiet import keep_libraries_silent
from chronotome.engine.taking import Taking
from chronotome.errors import DeviceUnavailable
from chronotome.render.arena import Arena

POLL_SECONDS = 0.02
RETRY_SECONDS, SELDOM_SECONDS = 2.0, 10.0
"""How often a device is looked for that was lost, and one that never was there."""
PR_SET_PDEATHSIG = 1
NICER = -11


def open_output(
    mixer: Mixer, control: Control, *, wanted: str, rate: int, block: int, why: str = ""
) -> Output:
    """The device that is wanted, or the simulated one with the reason."""
    if wanted != "simulated":
        found = _device(mixer, wanted, rate, block)
        if isinstance(found, PortAudioOutput):
            return found
        why = str(found) if isinstance(found, AnotherRate) else why or "no sound device"
    output = SimulatedOutput(mixer.process, rate=rate, block=block, tape=control.tape)
    if why:
        output.words = f"simulated output: {why}"
    output.start()
    return output


def _device(
    mixer: Mixer, wanted: str, rate: int, block: int, *, is_anew: bool = False
) -> PortAudioOutput | DeviceUnavailable:
    """The real one, which plays; or why there is none."""
    device = None if wanted == "auto" else wanted
    try:
        output = PortAudioOutput(mixer.process, rate=rate, block=block, device=device, is_anew=is_anew)
        output.start()
    except DeviceUnavailable as error:
        return error
    return output


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
    wanted, heard = devices
    signal.signal(signal.SIGINT, signal.SIG_IGN)
    ctypes.CDLL(None).prctl(PR_SET_PDEATHSIG, signal.SIGTERM)
    with contextlib.suppress(OSError):  # only where the system allows it
        os.nice(NICER)
    control = Control(control_descriptor)
    floats = Arena(arena_descriptor).floats
    mixer = Mixer(control, floats)
    control.put(Word.RATE, rate)
    midi = MidiInput(control, mixer.notes.append)
    midi.start()
    device = None if heard == "auto" else heard
    taking = Taking(control, floats, mixer.notes, mixer.monitor, block=block, device=device)
    gc.collect()
    gc.freeze()
    gc.disable()  # before the first callback
    output = open_output(mixer, control, wanted=wanted, rate=rate, block=block, why=why)
    _tell(output, control)
    tried, lost = time.monotonic(), 0
    pause = RETRY_SECONDS if why else SELDOM_SECONDS
    while not control.get(Word.QUIT) and os.getppid() == parent:
        control.put(Word.DROPOUTS, lost + output.dropouts)
        control.put(Word.LATENCY, int(output.latency * 1e9))
        if isinstance(output, SimulatedOutput):
            control.put(Word.PLAYED, output.played)
        taking.look()
        time.sleep(POLL_SECONDS)
        if not isinstance(output, SimulatedOutput):
            if not output.is_alive:
                os._exit(LOST)  # closing it may never return: the player begins us anew
            continue
        if wanted == "simulated" or taking.is_real or time.monotonic() - tried < pause:
            continue
        tried = time.monotonic()
        found = _device(mixer, wanted, rate, block, is_anew=True)
        if isinstance(found, PortAudioOutput):
            lost += output.dropouts
            output.stop()
            output = found
            _tell(output, control)
    output.stop()
    midi.stop()
    taking.close()


def _tell(output: Output, control: Control) -> None:
    control.text = output.words
    control.put(Word.LATENCY, int(output.latency * 1e9))
    control.put(Word.IS_SIMULATED, int(isinstance(output, SimulatedOutput)))
    control.put(Word.IS_READY, 1)


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
