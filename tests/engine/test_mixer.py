import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from chronotome.engine.control import SLOTS, Command, Control, Word
from chronotome.engine.mixer import CHANGE_FADE, START_FADE, Mixer, Target
from chronotome.engine.output import SimulatedOutput
from chronotome.engine.voices import END_FADE, VOICES, Voices, VoiceSource
from chronotome.render.arena import Arena
from chronotome.render.mix import CLICK, FIRST_TRACK, GainSegment, Heard, Mix, MixLane, Side
from chronotome.render.renderer import OfflineMix

TOTAL = 40000
RATE = 48000


class Deck:
    """A mixer on a simulated output without a clock, with two mixes of different sound."""

    def __init__(self, block: int = 256) -> None:
        self.arena = Arena()
        self.control = Control()
        self.control.put(Word.RATE, RATE)
        mixer = Mixer(self.control, self.arena.floats)
        self.output = SimulatedOutput(mixer.process, rate=RATE, block=block, tape=self.control.tape)
        self.block = block

    def mix(self, serial: int, *, channels: int = 2) -> Mix:
        random = np.random.default_rng(serial)
        lanes = []
        for side in (Side.AS_PLAYED, Side.EDITED):
            starts = np.array([0, 9000, 21000])
            lengths = np.array([9000, 12000, TOTAL - 21000])
            region = self.arena.allocate(TOTAL, channels)
            region.samples[:] = random.uniform(-0.5, 0.5, (TOTAL, channels))
            offsets = region.offset + starts * channels
            owners = np.array([0, 1, 0])
            lanes.append(MixLane(side, starts, lengths, offsets, np.full(3, channels), owners))
        faded = GainSegment(0.5, 0.3, (9000, 11000), (19000, 21000))
        parts = np.concatenate([GainSegment(0.5, 0.5).row(), faded.row()])
        return Mix(serial, TOTAL, tuple(lanes), parts, played_gain=0.8)

    def offline(self, mix: Mix, start: int, frames: int, side: Side = Side.EDITED) -> np.ndarray:
        return OfflineMix(mix, self.arena).read(start, frames, side)

    def play(self, blocks: int) -> np.ndarray:
        first = self.output.played
        self.output.step(blocks)
        return self.control.tape[first : self.output.played].copy()


@pytest.fixture
def deck():
    return Deck()


@pytest.mark.parametrize("channels", [1, 2])
@pytest.mark.parametrize("block", [128, 256, 1000])
def test_what_is_played_is_the_offline_mix_bit_for_bit(block, channels):
    deck = Deck(block)
    mix = deck.mix(1, channels=channels)
    deck.control.publish(mix)
    deck.control.send(Command.PLAY, 5000)

    played = deck.play(20)

    expected = deck.offline(mix, 5000, len(played))
    np.testing.assert_array_equal(played[START_FADE:], expected[START_FADE:])


def test_another_side_comes_in_without_a_gap_at_its_own_level(deck):
    mix = deck.mix(1)
    deck.control.publish(mix)
    deck.control.send(Command.PLAY, 0)
    deck.play(4)

    deck.control.send(Command.LISTEN, Side.AS_PLAYED)
    played = deck.play(4)

    at = 4 * 256
    old, new = (deck.offline(mix, at, len(played), side) for side in (Side.EDITED, Side.AS_PLAYED))
    np.testing.assert_array_equal(played[CHANGE_FADE:], new[CHANGE_FADE:])
    low, high = np.minimum(old, new) - 1e-6, np.maximum(old, new) + 1e-6
    assert ((low <= played) & (played <= high)).all()


def test_another_mix_takes_over_while_it_plays(deck):
    first, second = deck.mix(1), deck.mix(2)
    deck.control.publish(first)
    deck.control.send(Command.PLAY, 0)
    deck.play(4)

    deck.control.publish(second)
    played = deck.play(4)

    np.testing.assert_array_equal(played[CHANGE_FADE:], deck.offline(second, 1024, len(played))[CHANGE_FADE:])
    assert deck.control.get(Word.OLDEST_SERIAL) == 2


def test_a_loop_repeats_its_span_to_the_frame(deck):
    mix = deck.mix(1)
    deck.control.publish(mix)
    deck.control.send(Command.LOOP, 10000, 13000)
    deck.control.send(Command.PLAY, 12000)

    played = deck.play(20)

    turns = [1000, 4000]
    for turn in turns:
        settled = played[turn + CHANGE_FADE : turn + 900]
        np.testing.assert_array_equal(settled, deck.offline(mix, 10000 + CHANGE_FADE, len(settled)))
    assert deck.control.get(Word.POSITION) == 10000 + (20 * 256 - 1000) % 3000


def test_stop_fades_out_and_then_is_silent(deck):
    deck.control.publish(deck.mix(1))
    deck.control.send(Command.PLAY, 0)
    deck.play(2)

    deck.control.send(Command.STOP)
    played = deck.play(4)

    assert np.abs(played[:20]).max() > 0.05
    assert not played[CHANGE_FADE:].any()
    assert not deck.control.get(Word.IS_PLAYING)


def test_without_a_mix_it_plays_silence(deck):
    deck.control.send(Command.PLAY, 0)

    assert not deck.play(3).any()


@given(st.lists(st.integers(1, 6), min_size=1, max_size=12))
@settings(deadline=None, max_examples=20)
def test_a_slot_that_is_read_is_never_written(steps):
    deck = Deck()
    deck.control.send(Command.PLAY, 0)
    serial = 0
    for count in steps:
        for _ in range(count):
            serial += 1
            deck.control.publish(deck.mix(serial))
            reading = deck.control.get(Word.READING)
            assert reading < 0 or deck.control.get(Word.PUBLISHED) != reading
        deck.output.step(1)
        assert deck.control.get(Word.ADOPTED_SERIAL) == serial
    assert SLOTS >= 4


def test_a_full_ring_loses_the_oldest_commands_only():
    control = Control()
    for number in range(3000):
        control.send(Command.SEEK, number)

    seen = []
    while (command := control.next_command()) is not None:
        seen.append(command[1][0])

    assert seen == list(range(3000 - 1024, 3000))


@pytest.mark.parametrize("channels", [1, 2])
def test_a_hit_sounds_in_the_next_block_and_ends_without_a_click(deck, channels):
    region = deck.arena.allocate(3000, channels)
    region.samples[:] = 0.5
    deck.play(2)

    deck.control.send(Command.HEAR, region.offset, 1000, channels, 500_000)
    played = deck.play(5)

    np.testing.assert_allclose(played[: 1000 - END_FADE], 0.25, rtol=1e-5)
    assert np.abs(np.diff(played[1000 - END_FADE : 1001, 0])).max() < 0.25 / END_FADE * 1.01
    assert not played[1000:].any()
    assert not deck.control.get(Word.IS_PLAYING)


def test_a_hit_is_heard_over_the_mix_and_leaves_it_alone(deck):
    mix = deck.mix(1)
    deck.control.publish(mix)
    region = deck.arena.allocate(500, 2)
    region.samples[:] = 0.25
    deck.control.send(Command.PLAY, 0)
    deck.play(1)

    deck.control.send(Command.HEAR, region.offset, 500, 2, 1_000_000)
    played = deck.play(4)

    expected = deck.offline(mix, 256, len(played))
    expected[: 500 - END_FADE] += 0.25
    np.testing.assert_allclose(played[: 500 - END_FADE], expected[: 500 - END_FADE], atol=1e-6)
    np.testing.assert_array_equal(played[500:], expected[500:])


def test_a_count_sounds_first_and_the_frame_right_after_it(deck):
    mix = deck.mix(1)
    deck.control.publish(mix)
    count = deck.arena.allocate(1000, 1)
    count.samples[:] = 0.25
    deck.control.send(Command.PLAY, 5000, 1000)
    deck.control.send(Command.HEAR, count.offset, 1000, 1, 1_000_000)

    heard = deck.play(8)

    assert heard[: 1000 - END_FADE] == pytest.approx(0.25)
    assert (heard[1000 + START_FADE :] == deck.offline(mix, 5000 + START_FADE, len(heard) - 1016)).all()


def test_the_playhead_moves_with_the_mix_of_another_tempo(deck):
    before, after = deck.mix(1), deck.mix(2)
    deck.control.publish(before)
    deck.control.send(Command.PLAY, 5000)
    deck.play(4)

    deck.control.put(Word.MOVE_FRAMES, 3000)
    deck.control.put(Word.MOVE_SERIAL, 2)
    deck.control.publish(after)
    heard = deck.play(4)

    start = 5000 + 4 * deck.block + 3000
    assert (heard[CHANGE_FADE:] == deck.offline(after, start + CHANGE_FADE, len(heard) - CHANGE_FADE)).all()
    deck.control.publish(deck.mix(3))
    deck.play(1)
    assert deck.control.get(Word.POSITION) == start + 5 * deck.block  # once is enough
    deck.control.put(Word.MOVE_FRAMES, 1000 - start - 5 * deck.block)
    deck.control.put(Word.MOVE_SERIAL, 4)
    deck.control.publish(deck.mix(4))
    deck.play(1)
    assert deck.control.get(Word.PLAY_STARTED) == 1000  # the window shows nothing before where it began


def test_what_is_heard_over_the_mix_goes_round_in_time_with_it(deck):
    silent = Mix(1, TOTAL, ())
    deck.control.publish(silent)
    loop = deck.arena.allocate(700, 1)
    loop.samples[:, 0] = np.arange(700) / 700
    deck.control.send(Command.PLAY, 5000)
    deck.play(1)
    deck.control.send(Command.HEAR, loop.offset, 700, 1, 1_000_000, 700, 300)

    heard = deck.play(8)[:, 0]

    places = 5000 + deck.block + np.arange(len(heard))
    assert heard == pytest.approx((places - 300) % 700 / 700, abs=1e-6)
    deck.control.send(Command.HUSH)
    assert not deck.play(8)[END_FADE:].any()


def test_64_voices_sound_at_once_and_one_more_takes_the_place_of_the_one_nearest_to_its_end():
    floats = np.ones(10_000, np.float32)
    voices = Voices(floats)
    for owner in range(VOICES):
        voices.start(VoiceSource(0, 5000 + owner, 1, 1 / VOICES), owner)
    out = np.zeros((256, 2), np.float32)

    voices.add_into(out)
    assert out == pytest.approx(1.0, abs=1e-5)
    voices.start(VoiceSource(0, 9000, 1, 1.0), VOICES)
    out[:] = 0
    voices.add_into(out)

    assert voices.count == VOICES
    assert out == pytest.approx(1 + (VOICES - 1) / VOICES, abs=1e-5)


def test_what_is_heard_anew_gives_way_without_a_click_and_others_sound_on():
    voices, out = Voices(np.ones(10_000, np.float32)), np.zeros((400, 2), np.float32)
    voices.start(VoiceSource(0, 8000, 1, 0.5), 0)
    voices.start(VoiceSource(0, 8000, 1, 0.25), 7)
    voices.add_into(out[:100])

    voices.start(VoiceSource(0, 8000, 1, 0.125), 0)
    voices.add_into(out[100:])

    assert out[:100] == pytest.approx(0.75)
    assert np.abs(np.diff(out[101 : 100 + END_FADE, 0])).max() < 0.5 / END_FADE * 1.01
    assert out[100 + END_FADE :] == pytest.approx(0.375)


def test_a_bus_of_its_own_is_missing_from_the_main_outputs_and_nowhere_else():
    """Through a start, another mix and a jump: both pairs together are what one pair would be."""
    arena, heard = Arena(), []
    region = arena.allocate(40000, 1)
    region.samples[:] = np.random.default_rng(2).normal(0, 0.1, (40000, 1))

    def mix(serial, length):
        columns = [np.array([value], np.int64) for value in (0, length, region.offset, 1, 0)]
        later = [np.array([value], np.int64) for value in (0, length, region.offset + 100, 1, 0)]
        lanes = (MixLane(Side.BOTH, *columns, bus=FIRST_TRACK), MixLane(Side.BOTH, *later, bus=CLICK))
        return Mix(serial, 30000, lanes)

    for is_apart in (False, True):
        control = Control()
        mixer = Mixer(control, arena.floats)
        own = Target(np.zeros((4096, 2), np.float32), Heard(frozenset([CLICK]), is_without=False))
        mixer.apart = (own,) if is_apart else ()
        blocks = []
        for number in range(12):
            if number in {0, 4}:
                control.publish(mix(number + 1, 30000 - 9000 * number // 4))
            if number in {1, 7}:
                control.send(Command.PLAY, 500 * number)
            main = np.zeros((512, 2), np.float32)
            mixer.process(main, number / 90)
            blocks.append((main, own.out[:512].copy()))
        heard.append(blocks)
    for (whole, _), (main, own) in zip(*heard, strict=True):
        assert np.abs(whole - main - own).max() < 1e-6
    assert all(own.any() and main.any() for main, own in heard[1][1:])
    assert not any(own.any() for _, own in heard[0])
