"""Which sound devices there are: looked for in a process of its own, so that each look is a fresh one."""

import contextlib
import os
import subprocess
import sys
from pathlib import Path
from typing import Annotated

import msgspec
from msgspec import Meta, Struct

import chronotome
from chronotome.engine.jack_client import close_opened
from chronotome.engine.jack_sound import JACK
from chronotome.engine.quiet import silent_stderr
from chronotome.errors import DeviceUnavailable

LOOK_SECONDS = 15.0
PORTAUDIO_JACK = "JACK Audio Connection Kit"
"""What PortAudio would play through JACK with; ours takes its place."""
MOST_BYTES = 1 << 20
_Names = Annotated[tuple[Annotated[str, Meta(max_length=300)], ...], Meta(max_length=500)]


class Devices(Struct, frozen=True):
    """Names by which an output or an input is opened."""

    outputs: _Names = ()
    inputs: _Names = ()


def here() -> Devices:
    """JACK, where a server answers, and those that PortAudio finds now."""
    jack: tuple[str, ...] = ()
    with contextlib.suppress(DeviceUnavailable):
        close_opened()
        jack = (JACK,)
    with silent_stderr():
        try:
            import sounddevice  # noqa: PLC0415 - looks for the system library when it is imported

            kinds = [kind["name"] for kind in sounddevice.query_hostapis()]
            found = [
                (f"{each['name']}, {kinds[each['hostapi']]}"[:300], each)
                for each in sounddevice.query_devices()
                if kinds[each["hostapi"]] != PORTAUDIO_JACK
            ]
        except Exception:  # noqa: BLE001 - whatever is wrong with it, there are no devices
            return Devices(jack, jack)
    return Devices(
        jack + tuple(name for name, each in found if each["max_output_channels"] > 0),
        jack + tuple(name for name, each in found if each["max_input_channels"] > 0),
    )


def devices() -> Devices:
    """The same, asked of another process; none where it does not answer."""
    source = str(Path(chronotome.__file__).resolve().parent.parent)
    others = [path for path in os.environ.get("PYTHONPATH", "").split(os.pathsep) if Path(path).is_absolute()]
    try:
        told = subprocess.run(
            [sys.executable, "-P", "-m", "chronotome.engine.devices"],
            capture_output=True,
            timeout=LOOK_SECONDS,
            check=True,
            env={**os.environ, "PYTHONPATH": os.pathsep.join([source, *others])},
        ).stdout
        return msgspec.json.decode(told[:MOST_BYTES], type=Devices)
    except (OSError, subprocess.SubprocessError, msgspec.MsgspecError):
        return Devices()


if __name__ == "__main__":
    sys.stdout.buffer.write(msgspec.json.encode(here()))
