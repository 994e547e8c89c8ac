"""The player as the window sees it: orders in, position and levels out."""

import os
import subprocess
import sys
import threading
import time
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from pathlib import Path

import numpy as np

import chronotome
from chronotome.dsp.audio import Samples
from chronotome.engine.control import LEFT_GAPS, TAPE_FRAMES, Command, Control, InTime, Word
from chronotome.engine.jack_ports import port_lines
from chronotome.engine.kit_table import PLAYED, WANTED, KeySound, Note, NoteKind
from chronotome.engine.mixer import Mixer
from chronotome.engine.output import LOST, SimulatedOutput
from chronotome.engine.taking import NONE, REAL, SIMULATED
from chronotome.render.arena import Arena, Region
from chronotome.render.mix import Mix, Side
from chronotome.render.take_ring import TakeWord
from chronotome.session.grid import TempoMap
from chronotome.session.metre import MetreMap

DEFAULT_BLOCK = 512
AUTO = "auto"
CLOSE_SECONDS = 2.0
MIXER_NAME = (
    "application.name=Chronotome application.id=org.chronotome.Chronotome "
    "application.icon_name=org.chronotome.Chronotome media.role=production"
)
"""What mixers show: ALSA's plugin would name itself, and the interpreter."""
LOST_WORDS = "the sound device was lost"
"""Why its process is begun anew, where that is so."""


@dataclass(frozen=True)
class PlayerState:
    """A glance at the player. `position` is the session frame that is heard now."""

    position: float
    is_playing: bool
    left: float
    right: float
    dropouts: int
    device: str
    is_ready: bool
    is_simulated: bool
    holds_block: bool = True
    """False where the device left gaps at its block when it was opened."""


class Player:
    """Keeps an audio process alive and tells it what to do.

    With `in_process`, there is no other process and no clock: `step` plays. For tests.
    """

    def __init__(
        self, arena: Arena, *, output: str = "auto", block: int = DEFAULT_BLOCK, in_process: bool = False
    ) -> None:
        self._arena = arena
        self._output, self._block = output, block
        self._input = AUTO
        self._child: subprocess.Popen[bytes] | None = None
        self.is_in_process = in_process
        self._simulated: SimulatedOutput | None = None
        self._side = Side.EDITED
        self._loop = (0, 0)
        self._mix: Mix | None = None
        self._kit: dict[int, KeySound] = {}
        self._midi: tuple[str, ...] = ()
        self._clocks: tuple[str, ...] = ()
        self._in_time = InTime.NOTHING
        self._buses: tuple[tuple[int, str], ...] = ()
        self._beats: tuple[TempoMap, MetreMap] | None = None
        self._crashes = 0
        self._asked = False, 0
        """Whether it is to play, and from where."""
        self._lock = threading.Lock()  # the renderer publishes, the window revives
        self.rate = 48000
        self.control = Control()

    @property
    def block(self) -> int:
        """Frames that the device asks for at once."""
        return self._block

    @property
    def is_started(self) -> bool:
        return self._child is not None or self._simulated is not None

    def start(self, rate: int) -> None:
        """Begin to play at a rate; another rate starts the device anew."""
        if self.is_started and rate == self.rate:
            return
        self.close()
        self.rate = rate
        self.control = Control()
        self._launch()

    def _launch(self, why: str = "") -> None:
        control = self.control
        control.put(Word.RATE, self.rate)
        if self.is_in_process:
            mixer = Mixer(control, self._arena.floats)
            self._simulated = SimulatedOutput(
                mixer.process, rate=self.rate, block=self._block, tape=control.tape
            )
            control.text = self._simulated.words
            control.put(Word.IS_READY, 1)
            control.put(Word.IS_SIMULATED, 1)
        else:
            source = str(Path(chronotome.__file__).resolve().parent.parent)
            others = [
                path
                for path in os.environ.get("PYTHONPATH", "").split(os.pathsep)
                if Path(path).is_absolute()
            ]
            descriptors = (self._arena.descriptor, control.descriptor)
            self._child = subprocess.Popen(  # noqa: S603 - our own interpreter and module
                [
                    sys.executable,
                    "-P",  # what lies in the current folder is not code
                    "-m",
                    "chronotome.engine.audio_process",
                    *(str(descriptor) for descriptor in descriptors),
                    str(os.getpid()),
                    self._output,
                    self._input,
                    str(self.rate),
                    str(self._block),
                    why,
                ],
                pass_fds=descriptors,
                env={
                    **os.environ,
                    "PYTHONPATH": os.pathsep.join([source, *others]),
                    "OMP_NUM_THREADS": "1",
                    "PULSE_PROP_OVERRIDE": MIXER_NAME,
                },
            )
        control.send(Command.LISTEN, self._side)
        control.send(Command.LOOP, *self._loop)
        control.kit.write_kit(self._kit)
        control.wanted_midi.text = "\n".join(self._midi)
        control.wanted_clock.text = "\n".join(self._clocks)
        control.put(Word.IN_TIME, self._in_time)
        control.wanted_ports.text = port_lines(self._buses)
        if self._beats is not None:
            control.beats.write(*self._beats, self.rate)
        if self._mix is not None:
            control.publish(self._mix)

    def close(self) -> None:
        """Silence, and no process left."""
        self._end()
        self._child = None
        self._simulated = None

    def _end(self) -> None:
        self.control.put(Word.QUIT, 1)
        if self._child is not None:
            try:
                self._child.wait(CLOSE_SECONDS)
            except subprocess.TimeoutExpired:
                self._child.kill()
                self._child.wait()

    def revive(self) -> bool:
        """Start the audio process again where it died; True if it had."""
        if self._child is None or self._child.poll() is None:
            return False
        with self._lock:
            self._relaunch(LOST_WORDS if self._child.returncode == LOST else "")
        return True

    def _relaunch(self, why: str = "") -> None:
        self._crashes += 1
        was_playing, position = self._asked  # of a process that ended before it heard of it
        if self.control.get(Word.TAIL) == self.control.get(Word.HEAD):
            was_playing, position = bool(self.control.get(Word.IS_PLAYING)), self.control.get(Word.POSITION)
        self.control = Control()
        self._asked = was_playing, position
        self.control.put(Word.POSITION, position)
        self._launch(why)
        self.control.send(Command.PLAY if was_playing else Command.SEEK, position)

    def publish(self, mix: Mix, moved: Callable[[int], int] | None = None) -> None:
        """Play this mix from now on; `moved` tells where a position is at the song's new tempo."""
        with self._lock:
            self._mix = mix
            if moved is not None:
                position = self.control.get(Word.POSITION)
                waiting = self.control.get(Word.MOVE_FRAMES) if self.control.get(Word.MOVE_SERIAL) > 0 else 0
                self.control.put(Word.MOVE_FRAMES, moved(position + waiting) - position)
                self.control.put(Word.MOVE_SERIAL, mix.serial)
            self.control.publish(mix)

    def play(self, position: int, count: Region | None = None) -> None:
        """Play from a session frame; a count, if there is one, sounds first and the frame right after it."""
        self._asked = True, position
        self.control.send(Command.PLAY, position, 0 if count is None else count.frames)
        if count is not None:
            self.hear(count, 0, count.frames)

    def stop(self) -> None:
        self._asked = False, self._asked[1]
        self.control.send(Command.STOP)

    def use(self, *, output: str | None = None, heard: str | None = None, block: int | None = None) -> None:
        """Another output, input, or frames at once, of which fewer sound sooner: the sound starts anew."""
        before = self._output, self._input, self._block
        self._output, self._input = output or self._output, heard or self._input
        self._block = block or self._block
        if before == (self._output, self._input, self._block):
            return
        if self.is_started and not self.is_in_process:
            with self._lock:
                self._end()
                self._relaunch()
                self._crashes -= 1

    # Keys

    def set_kit(self, sounds: dict[int, KeySound]) -> None:
        """What keys play from now on."""
        self._kit = sounds
        self.control.kit.write_kit(sounds)

    def note(
        self, kind: NoteKind, key: int, velocity: float = 1.0, *, stamp: int = 0, frame: int = -1
    ) -> bool:
        """A key was pressed or let go of at a time of the monotonic clock, or is to be at a session frame."""
        stamp = stamp or time.monotonic_ns()
        return self.control.kit.put(WANTED, Note(kind, key, velocity, stamp, frame))

    @property
    def midi_words(self) -> str:
        """Names of MIDI inputs, a line each; or why there are none."""
        return self.control.midi.text

    def listen_to_midi(self, names: Sequence[str]) -> None:
        """Inputs that play the keys; none named: all."""
        self._midi = tuple(names)
        self.control.wanted_midi.text = "\n".join(names)

    # Others

    def set_beats(self, tempo: TempoMap, metre: MetreMap) -> None:
        """Where the song's beats are, for those who are led by them."""
        self._beats = tempo, metre
        self.control.beats.write(tempo, metre, self.rate)

    def send_clock(self, names: Sequence[str]) -> None:
        """MIDI outputs that hear the song's clock; none named: none."""
        self._clocks = tuple(names)
        self.control.wanted_clock.text = "\n".join(names)

    @property
    def clock_words(self) -> str:
        """Names of MIDI outputs that a clock can go to, a line each."""
        return self.control.clocks.text

    def give_ports(self, buses: Sequence[tuple[int, str]]) -> None:
        """Buses that have outputs of their own where that can be, and their names."""
        self._buses = tuple(buses)
        self.control.wanted_ports.text = port_lines(self._buses)

    def keep_in_time(self, wanted: InTime) -> None:
        """With what it starts, stops and is at a place."""
        self._in_time = wanted
        self.control.put(Word.IN_TIME, wanted)

    @property
    def in_time(self) -> InTime:
        """With what it is in time; NOTHING also where that is not there."""
        return self._in_time if self.control.get(Word.IS_IN_TIME) else InTime.NOTHING

    @property
    def wanted_in_time(self) -> InTime:
        """With what it is meant to be in time, be it there or not."""
        return self._in_time

    @property
    def clock_tempo(self) -> float | None:
        """Beats a minute of the clock that is heard."""
        return self.control.get(Word.CLOCK_TEMPO) / 1e6 or None

    # Takes

    @property
    def is_input_simulated(self) -> bool:
        """Whether the stand-in is wanted, whatever the output is."""
        return self._input == "simulated"

    def open_input(self, *, is_simulated: bool, performance: Region | None = None) -> None:
        """Let the input hear; the simulated one plays a performance, or is a cable from the output."""
        control = self.control
        if performance is not None:
            control.put(Word.INPUT_OFFSET, performance.offset)
            control.put(Word.INPUT_CHANNELS, performance.channels)
        control.put(Word.INPUT_FRAMES, 0 if performance is None else performance.frames)
        control.put(Word.INPUT_WANTED, SIMULATED if is_simulated else REAL)

    def close_input(self) -> None:
        self.control.put(Word.INPUT_WANTED, NONE)
        self.control.put(Word.IS_MONITORED, 0)

    def monitor(self, *, is_on: bool) -> None:
        """Let what the input hears be heard."""
        self.control.put(Word.IS_MONITORED, int(is_on))

    def begin_take(self) -> tuple[int, int]:
        """What the input hears goes into the ring from now on; the descriptor, and the ring's place in it."""
        self.control.take.begin()
        self.control.take.set(TakeWord.IS_ON, 1)
        return self.control.descriptor, self.control.take_offset

    def end_take(self) -> None:
        """No more comes; what is in the ring is written."""
        self.control.take.set(TakeWord.IS_ON, 0)
        self.control.take.set(TakeWord.QUIT, 1)

    def taken(self) -> Samples:
        """What is in the ring, where nothing empties it: a copy, float32 (frames, 2)."""
        ring = self.control.take
        parts = ring.parts(ring.get(TakeWord.TAIL), ring.get(TakeWord.HEAD))
        return np.concatenate(parts) if parts else np.zeros((0, 2), np.float32)

    @property
    def input_words(self) -> str:
        """What the input is that is open."""
        return self.control.input.text

    def input_peak(self) -> float:
        """The loudest sample that came in since it was asked last."""
        peak = self.control.take.get(TakeWord.PEAK)
        self.control.take.set(TakeWord.PEAK, 0)
        return peak / 1e6

    @property
    def take_frames(self) -> int:
        """Frames of the take that came in."""
        return self.control.take.get(TakeWord.HEAD)

    def notes_played(self) -> list[Note]:
        """What was played since it was asked last: `frame` is the session frame that was heard then."""
        found = []
        while (note := self.control.kit.take(PLAYED)) is not None:
            found.append(note)
        return found

    def seek(self, position: int) -> None:
        self._asked = self._asked[0], position
        self.control.send(Command.SEEK, position)

    def hear(
        self, region: Region, start: int, end: int, gain: float = 1.0, *, loops: int = 0, since: int = 0
    ) -> None:
        """Let frames [start, end) of a region sound at once, over whatever plays; an empty span ends that.

        With `loops`, it goes round after so many frames, and is where it would be if it had begun at session
        frame `since`: in time with what plays, to the frame.
        """
        start, end = max(0, start), min(region.frames, end)
        if end > start:
            offset = region.offset + start * region.channels
            millionths = round(1e6 * gain)
            self.control.send(Command.HEAR, offset, end - start, region.channels, millionths, loops, since)
        elif not loops:
            self.control.send(Command.HUSH)

    @property
    def latency(self) -> float:
        """Seconds from a frame's making to its sounding."""
        return self.control.get(Word.LATENCY) / 1e9

    def set_loop(self, start: int, end: int) -> None:
        """Loop session frames [start, end); an empty span loops nothing."""
        self._loop = (start, end)
        self.control.send(Command.LOOP, start, end)

    def listen(self, side: Side) -> None:
        self._side = side
        self.control.send(Command.LISTEN, side)

    @property
    def released_serial(self) -> int:
        """Mixes before this one are no longer read."""
        return self.control.get(Word.OLDEST_SERIAL) - 1

    def state(self) -> PlayerState:
        control = self.control
        position = float(control.get(Word.POSITION))
        is_playing = bool(control.get(Word.IS_PLAYING))
        if is_playing and not self.is_in_process:
            ahead = control.get(Word.POSITION_TIME) / 1e9 - time.monotonic()
            position = max(float(control.get(Word.PLAY_STARTED)), position - ahead * self.rate)
            start, end = self._loop
            if start < end and control.get(Word.POSITION) < end and position < start:
                position += end - start
        return PlayerState(
            position,
            is_playing,
            control.get(Word.PEAK_LEFT) / 1e6,
            control.get(Word.PEAK_RIGHT) / 1e6,
            control.get(Word.DROPOUTS) + self._crashes,
            control.text,
            bool(control.get(Word.IS_READY)),
            bool(control.get(Word.IS_SIMULATED)),
            control.get(Word.HELD) != LEFT_GAPS,
        )

    def step(self, blocks: int = 1) -> None:
        """Play blocks now; only in this process."""
        if self._simulated is None:
            raise ValueError("only a player in this process can be stepped")
        self._simulated.step(blocks)
        self.control.put(Word.PLAYED, self._simulated.played)

    def played(self) -> Samples:
        """What the simulated output played, up to its last ten minutes: a copy."""
        return self.control.tape[: min(self.control.get(Word.PLAYED), TAPE_FRAMES)].copy()
