"""In time with others: beats in shared memory, a clock out and in, a transport that is followed."""

import numpy as np
import pytest

from chronotome.engine.beat_table import TABLE_BYTES, BeatTable
from chronotome.engine.control import Control, Word
from chronotome.engine.jack_transport import NOTHING, Follower, Now, TransportAnswer
from chronotome.engine.midi_clock import ClockIn, ClockOut, Order
from chronotome.engine.mixer import Mixer
from chronotome.engine.other_rate import OtherRate, OtherRateHeard
from chronotome.session.grid import TempoChange, TempoMap
from chronotome.session.metre import Metre, MetreChange, metre_map

RATE, BLOCK = 48000, 512
TURNING = TempoMap((TempoChange(0.0, 90.0), TempoChange(8.0, 140.0)), 0.5)


@pytest.fixture
def beats():
    table = BeatTable(bytearray(TABLE_BYTES), 0)
    table.write(TURNING, metre_map(Metre(6, 8)), RATE)
    return table


def test_the_table_says_what_the_tempo_map_says(beats):
    for beat in (-3.0, 0.0, 7.99, 8.0, 21.3):
        assert beats.frame_of(beat) == pytest.approx(TURNING.seconds_of(beat) * RATE)
        assert beats.beat_of(beats.frame_of(beat)) == pytest.approx(beat)
    here = beats.place_of(beats.frame_of(8.25))
    assert (here.bar, here.beat) == (3, 5)
    assert here.share == pytest.approx(0.5)
    assert here.beats_per_minute == pytest.approx(140.0)
    assert beats.place_of(beats.frame_of(-0.5))[:2] == (0, 6)
    beats.write(TempoMap(), metre_map(Metre()), RATE)
    assert beats.place_of(0.0).beats_per_minute == 120.0


def test_the_table_counts_bars_over_changes_of_metre(beats):
    metre = metre_map(Metre(), (MetreChange(2, Metre(3, 4)), MetreChange(3, Metre(7, 8))))
    beats.write(TURNING, metre, RATE)
    places = [beats.place_of(beats.frame_of(beat)) for beat in (-0.5, 7.0, 8.0, 11.0, 14.0, 14.5)]
    assert [each[:2] for each in places] == [(0, 4), (2, 4), (3, 1), (4, 1), (4, 7), (5, 1)]
    assert [each.counted for each in places] == [-4, 4, 8, 11, 11, 18]
    assert (places[-1].beats_in_bar, places[-1].unit) == (7, 8)


def played(clock, spans):
    """What is sent while stretches are played, block by block: (position or None for rest, frames)."""
    sent, at = [], 0
    for position, frames in spans:
        for first in range(0, frames, BLOCK):
            count = min(BLOCK, frames - first)
            if position is None:
                clock.rest(0, 0, count)
            else:
                clock.passed(0, position + first, count)
            sent += [(at + frame, list(message)) for frame, message in clock.take()]
            at += count
    return sent


def test_ticks_are_where_the_beats_are_also_over_a_change_of_tempo(beats):
    clock = ClockOut(beats)
    clock.is_on = True
    sent = played(clock, [(0, 12 * RATE)])
    assert sent[-1][0] < 12 * RATE
    begin = [data for _, data in sent].index([0xFA])
    assert sent[begin][0] == 0.5 * RATE
    ticks = [at for at, data in sent[begin:] if data == [0xF8]]
    assert ticks == [round(beats.frame_of(number / 24)) for number in range(len(ticks))]
    assert len(ticks) > 24 * 14
    assert [data for _, data in sent[:begin]] == [[0xF8]] * begin


def test_machines_begin_with_the_next_sixteenth_and_are_told_of_each_jump(beats):
    clock = ClockOut(beats)
    clock.is_on = True
    place = int(beats.frame_of(4.1))
    sent = [data for _, data in played(clock, [(None, RATE), (place, RATE), (0, RATE), (None, RATE)])]
    words = [data for data in sent if data != [0xF8]]
    assert words == [[0xF2, 17, 0], [0xFB], [0xFC], [0xFA], [0xFC]]
    after = sent[sent.index([0xF2, 17, 0]) : sent.index([0xFB])]
    assert after.count([0xF8]) == 3
    assert sent[sent.index([0xFB]) + 1] == [0xF8]
    assert sent[: sent.index([0xF2, 17, 0])].count([0xF8]) == pytest.approx(24 * 90 / 60, abs=1)
    clock.is_on = False
    assert not played(clock, [(0, RATE)])


def test_the_tempo_of_a_clock_is_found_over_four_beats_in_spite_of_its_jitter():
    chance, clock = np.random.default_rng(5), ClockIn()
    assert clock.tempo(0.0) is None
    for number in range(300):
        moment = 3.0 + number * 60 / 24 / 123.4
        clock.hear(bytes([0xF8]), moment, moment + chance.normal(0, 0.0001))
    assert clock.tempo(moment) == pytest.approx(123.4, abs=0.01)
    assert clock.tempo(moment + 1.0) is None
    for number in range(90):
        late = 0.03 if number > 40 else 0.0  # a server left something out
        moment = 9.0 + number * 60 / 24 / 97.3 + late
        clock.hear(bytes([0xF8]), moment, moment)
    assert clock.tempo(moment) == pytest.approx(97.3, abs=0.01)


def test_a_machine_starts_at_its_next_tick_goes_on_at_its_place_and_stops():
    clock = ClockIn()
    assert clock.hear(bytes([0xFA]), 1.0, 1.0) is None
    assert clock.hear(bytes([0xF8]), 1.5, 1.5) == Order(0.0, 1.5)
    assert clock.hear(bytes([0xF8]), 1.6, 1.6) is None
    assert clock.hear(bytes([0xFC]), 2.0, 2.0) == Order(None, 2.0)
    clock.hear(bytes([0xF2, 4, 1]), 2.1, 2.1)
    clock.hear(bytes([0xFB]), 2.2, 2.2)
    assert clock.hear(bytes([0xF8]), 2.3, 2.3) == Order(33.0, 2.3)
    clock.hear(bytes([0xF2]), 2.4, 2.4)


def test_what_a_machine_starts_is_as_far_on_as_it_sounds_later():
    control = Control()
    control.put(Word.RATE, RATE)
    control.beats.write(TURNING, metre_map(Metre()), RATE)
    mixer = Mixer(control, np.zeros(8, np.float32))
    mixer.orders.append(Order(8.0, 10.0))
    mixer.process(np.zeros((BLOCK, 2), np.float32), 10.25)
    assert mixer.now.is_playing
    assert mixer.now.position == round(TURNING.seconds_of(8.0) * RATE + 0.25 * RATE) + BLOCK
    mixer.orders.append(Order(None, 11.0))
    mixer.process(np.zeros((BLOCK, 2), np.float32), 11.0)
    assert not mixer.now.is_playing


class Others:
    """A transport of others, and a mixer that does what it is told: cycle by cycle."""

    def __init__(self):
        self.follower, self.place, self.is_rolling = Follower(), 0, False
        self.position, self.is_playing, self.waiting, self.loop = 0, False, 0, (0, 0)
        self.asked = []
        self.answers = []

    def cycle(self):
        self.place = next((place for due, place in self.asked if due == 0), self.place)
        self.asked = [(due - 1, place) for due, place in self.asked if due]
        now = Now(self.position, self.is_playing, self.waiting, self.loop)
        answer = self.follower.cycle(self.place, now, BLOCK, is_rolling=self.is_rolling)
        self.answers.append(answer)
        if answer.is_stop:
            self.is_playing = False
        if answer.be_at is not None:
            self.position, self.is_playing = answer.be_at, self.is_rolling
        if answer.locate is not None:
            self.asked.append((2, answer.locate))
        if answer.is_start:
            self.is_rolling = True
        if self.is_rolling:
            self.place += BLOCK
        if self.is_playing:
            self.play()

    def play(self):
        counted = min(self.waiting, BLOCK)
        self.waiting -= counted
        self.position += BLOCK - counted
        start, end = self.loop
        if start < end <= self.position:
            self.position += start - end


def test_start_stop_and_place_are_followed_to_the_frame_for_ten_minutes():
    others = Others()
    others.place = 96000
    others.cycle()
    assert others.position == 96000
    others.is_rolling = True
    for _ in range(10 * 60 * RATE // BLOCK):
        others.cycle()
    assert others.position == others.place
    others.place += BLOCK  # read too late
    others.cycle()
    others.place -= BLOCK
    others.cycle()
    assert others.position == others.place
    others.place += 3 * BLOCK  # a short way, and there it stays
    others.cycle()
    others.cycle()
    assert others.position == others.place
    others.place = 7
    others.cycle()
    assert others.position == 7 + BLOCK
    others.is_rolling = False
    others.cycle()
    assert not others.is_playing
    assert sum(answer != NOTHING for answer in others.answers) == 5


def test_each_round_of_a_loop_others_are_asked_to_be_where_we_are():
    others = Others()
    others.is_rolling, others.loop = True, (1000, 1000 + 40 * BLOCK + 100)
    for _ in range(400):
        others.cycle()
    asked = [answer.locate for answer in others.answers if answer.locate is not None]
    assert len(asked) == 9
    assert all(1000 <= place < 1000 + 2 * BLOCK for place in asked)
    assert [answer.be_at for answer in others.answers if answer.be_at is not None] == [0]
    assert abs(others.position - others.place) <= BLOCK


def test_after_a_count_in_others_come_with_us():
    others = Others()
    others.cycle()
    others.is_playing, others.position, others.waiting = True, 4800, 20 * BLOCK
    for _ in range(30):
        others.cycle()
    assert others.answers.count(TransportAnswer(locate=4800, is_start=True)) == 1
    assert all(answer.be_at is None for answer in others.answers[1:])
    assert others.is_rolling
    assert abs(others.position - others.place) <= 4 * BLOCK


def test_another_rate_sounds_at_the_same_moments_and_is_heard_at_them():
    asked = []

    def process(out, when):
        number = np.arange(len(out)) + sum(count for count, _ in asked)
        out[:, 0] = out[:, 1] = number / 65536
        asked.append((len(out), when))
        return True

    other = OtherRate(process, 44100, RATE)
    heard = [np.zeros((BLOCK, 2), np.float32) for _ in range(60)]
    for number, out in enumerate(heard):
        assert other.process(out, 5.0 + number * BLOCK / RATE)
    frames = 65536 * np.concatenate(heard)[2000:, 0].astype(np.float64)
    assert np.abs(frames - np.arange(2000, 2000 + len(frames)) * 44100 / RATE).max() < 0.05
    begun = np.cumsum([0, *(count for count, _ in asked)])[:-1]
    assert [when for _, when in asked] == pytest.approx(5.0 + begun / 44100)
    assert other.lead < 0.03
    came = []
    back = OtherRateHeard(lambda block, moment: came.append((len(block), moment)), 44100, RATE)
    for number in range(60):
        back.hear(np.zeros((BLOCK, 2), np.float32), 5.0 + number * BLOCK / RATE)
    begun = np.cumsum([0, *(count for count, _ in came)])[:-1]
    assert [moment for _, moment in came] == pytest.approx(5.0 + begun / 44100)
