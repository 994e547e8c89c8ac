"""Outputs of their own on a JACK server, for the click or for each track."""

import contextlib
from collections.abc import Sequence

from chronotome.engine.control import Control
from chronotome.engine.jack_sound import JackOutput
from chronotome.engine.mixer import Mixer
from chronotome.engine.output import Output
from chronotome.errors import DeviceUnavailable

MOST_PORTS = 64
LONGEST_NAME = 60


def port_lines(buses: Sequence[tuple[int, str]]) -> str:
    """A line each: number and name. Names are told apart by their order, and hold nothing that JACK reads."""
    names = [
        name.replace(":", " ").replace("\n", " ").encode("ascii", "replace").decode() for _, name in buses
    ]
    return "\n".join(
        f"{bus} {place} {name[:LONGEST_NAME]}"
        for place, ((bus, _), name) in enumerate(zip(buses[:MOST_PORTS], names, strict=False), 1)
    )


class JackPorts:
    """Looks at what is wanted, from the audio process's main loop."""

    def __init__(self, control: Control, mixer: Mixer) -> None:
        self._control, self._mixer = control, mixer
        self._done: tuple[object, int] | None = None

    def look(self, output: Output) -> None:
        """Give buses their outputs, where JACK plays at the session's rate; else the main ones have all."""
        wanted = self._control.wanted_ports
        done = output, wanted.serial
        if done == self._done:
            return
        self._done = done
        if not isinstance(output, JackOutput) or output.is_resampled:
            self._mixer.apart = ()
            return
        lines = [line.partition(" ") for line in wanted.text.split("\n") if line]
        with contextlib.suppress(DeviceUnavailable):  # the server is going: the main loop sees to that
            targets = output.client.open_apart([(int(bus), name) for bus, _, name in lines])
            self._mixer.apart = tuple(targets)
