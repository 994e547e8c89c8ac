"""Slices played from keys: at their frames, the same at every block, without a click, told where."""

import numpy as np
import pytest

from chronotome.engine.control import Command, Control, Word
from chronotome.engine.key_player import MARGIN_SECONDS
from chronotome.engine.key_voices import CHOKE_FADE, POLYPHONY, KeyVoices
from chronotome.engine.kit_table import NOTES, PLAYED, WANTED, KeySound, Note, NoteKind
from chronotome.engine.mixer import Mixer
from chronotome.engine.output import SimulatedOutput
from chronotome.render.arena import Arena
from chronotome.render.mix import Mix, MixLane, Side

RATE = 48000
LONG = 9600


class Keys:
    """A mixer that plays silence and keys, on a simulated output without a clock."""

    def __init__(self, block: int = 256) -> None:
        self.arena, self.control = Arena(), Control()
        self.control.put(Word.RATE, RATE)
        mixer = Mixer(self.control, self.arena.floats)
        self.output = SimulatedOutput(self.process, rate=RATE, block=block, tape=self.control.tape)
        self._mixer, self.block, self.now = mixer, block, 100.0
        random = np.random.default_rng(1)
        self.region = self.arena.allocate(LONG, 2)
        self.region.samples[:] = random.uniform(-0.5, 0.5, (LONG, 2))
        silent = self.arena.allocate(RATE * 30, 2)
        lane = MixLane(Side.BOTH, *(np.array([each]) for each in (0, RATE * 30, silent.offset, 2, 0)))
        self.control.publish(Mix(1, RATE * 30, (lane,)))

    def process(self, out, _when):
        """A clock that goes exactly as fast as what is played."""
        sounds = self._mixer.process(out, self.now)
        self.now += len(out) / RATE
        return sounds

    def kit(self, **changes):
        sound = KeySound(self.region.offset, LONG, **changes)
        self.control.kit.write_kit({0: sound, 1: KeySound(self.region.offset, LONG, **changes)})

    def note(self, key, seconds, kind=NoteKind.START, velocity=1.0, frame=-1):
        self.control.kit.put(WANTED, Note(kind, key, velocity, round(seconds * 1e9), frame))

    def play(self, frames):
        first = self.output.played
        self.output.step(frames // self.block)
        return self.control.tape[first : self.output.played].copy()


@pytest.mark.parametrize("block", [64, 128, 256, 512])
def test_a_note_sounds_at_its_frame_a_block_and_a_millisecond_later(block):
    keys = Keys(block)
    keys.kit()
    keys.note(0, 100.0 + 1000.25 / RATE)
    heard = keys.play(4096)
    first = round(1000.25 + block + MARGIN_SECONDS * RATE)
    assert np.flatnonzero(heard.any(axis=1))[0] == first
    body = slice(first + 16, first + 2000)
    np.testing.assert_array_equal(heard[body], keys.region.samples[16:2000])


def test_the_same_notes_are_the_same_bits_at_every_block():
    tapes = []
    for block in (64, 128, 512):
        keys = Keys(block)
        keys.kit(semitones=3.3, group=0)
        keys.control.send(Command.PLAY, 0)
        for number in range(40):
            keys.note(number % 2, 0, frame=700 + 357 * number, velocity=0.3)
        tapes.append(keys.play(32768))
    np.testing.assert_array_equal(tapes[0], tapes[1])
    np.testing.assert_array_equal(tapes[0], tapes[2])


@pytest.mark.parametrize("way", ["stolen", "choked", "released", "silenced"])
def test_no_voice_ends_with_a_click(way):
    keys = Keys()
    keys.region.samples[:] = 0.5  # so that every step of a level is one of the sound
    keys.kit(group=1 if way == "choked" else 0, is_held=way == "released")
    keys.control.send(Command.PLAY, 0)
    count = POLYPHONY + 20 if way == "stolen" else 1
    for number in range(count):
        keys.note(0, 0, frame=1000 + 7 * number, velocity=1 / POLYPHONY)
    kinds = {"released": NoteKind.RELEASE, "silenced": NoteKind.SILENCE}
    if way != "stolen":
        keys.note(1 if way == "choked" else 0, 0, kinds.get(way, NoteKind.START), 1 / POLYPHONY, frame=3001)
    heard = keys.play(16384)[:, 0]
    steps = np.abs(np.diff(heard)).max()
    assert steps <= 0.5 / POLYPHONY * (1 / 16 + 25 / CHOKE_FADE)
    assert not heard[13000:].any()


def test_what_was_played_is_told_with_the_place_that_was_heard():
    keys = Keys()
    keys.kit()
    keys.control.send(Command.LOOP, 4800, 9600)
    keys.control.send(Command.PLAY, 4800)
    keys.play(256)
    began = 100.0  # the loop's first frame was heard then
    wanted = [500, 4799, 4801, 12000]
    for frames in wanted:
        keys.note(0, began + frames / RATE)
        keys.play(2560)
    keys.play(5120)
    places = []
    while (note := keys.control.kit.take(PLAYED)) is not None:
        places.append(note.frame)
    assert places == [4800 + frames % 4800 for frames in wanted]


def test_five_hundred_scripted_notes_are_exact_and_none_is_lost():
    keys = Keys(128)
    keys.kit()
    keys.control.send(Command.PLAY, 0)
    random = np.random.default_rng(3)
    frames = np.cumsum(random.integers(1, 900, 500)).tolist()
    played = []
    for frame in frames:
        keys.note(int(frame) % 2, 0, frame=int(frame), velocity=0.1)
        keys.play(128 * 8)
        while (note := keys.control.kit.take(PLAYED)) is not None:
            played.append(note.frame)
    keys.play(128 * 200)
    while (note := keys.control.kit.take(PLAYED)) is not None:
        played.append(note.frame)
    assert played == frames


def test_a_full_ring_refuses():
    control = Control()
    assert all(control.kit.put(WANTED, Note(NoteKind.START, 0)) for _ in range(NOTES))
    assert not control.kit.put(WANTED, Note(NoteKind.START, 0))
    control.kit.take(WANTED)
    assert control.kit.put(WANTED, Note(NoteKind.START, 0))


def test_a_live_pitch_reads_faster_without_aliasing_of_a_sine():
    arena = Arena()
    region = arena.allocate(RATE, 2)
    times = np.arange(RATE) / RATE
    region.samples[:] = np.sin(2 * np.pi * 1000 * times)[:, None]
    voices = KeyVoices(arena.floats, 256)
    voices.start(0, region.offset, RATE, (1.0, 1.0), 7.0, 0, 96, 0, is_held=False)
    out = np.zeros((256 * 60, 2), np.float32)
    for at in range(0, len(out), 256):
        voices.add_into(out[at : at + 256])
    speed = 2 ** (7 / 12)
    expected = np.sin(2 * np.pi * 1000 * speed * times[: len(out)])
    error = out[200:-200, 0] - expected[200:-200]
    assert 10 * np.log10(np.mean(error**2) / np.mean(expected**2)) < -60
