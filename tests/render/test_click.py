"""The metronome, as it is planned and as it sounds."""

import numpy as np
import pytest

from chronotome.render.click import click_plan, click_sound, count_in
from chronotome.session.metre import Metre
from chronotome.session.model import Click, ClickSound, replace
from strategies import RATE, simple_session


@pytest.fixture
def session():
    """120 bpm, beat one at 0, three quarters in a bar."""
    return replace(simple_session([0], RATE), first_metre=Metre(3, 4))


def test_clicks_fall_on_every_beat_to_a_bar_past_the_end_and_bars_are_accents(session):
    plan = click_plan(session, RATE)  # two beats long

    both = np.sort(np.concatenate([plan.accents, plan.others]))
    assert both.tolist() == [beat * RATE // 2 for beat in range(6)]
    assert plan.accents.tolist() == [0, 3 * RATE // 2]


def test_without_accents_all_clicks_are_alike(session):
    plain = click_plan(replace(session, click=Click(accents=False)), RATE)

    assert len(plain.accents) == 0
    assert len(plain.others) == 6


@pytest.mark.parametrize("sound", ClickSound)
@pytest.mark.parametrize("rate", [8000, 48000])
def test_a_click_peaks_at_one_ends_in_silence_and_an_accent_is_higher(sound, rate):
    accent, beat = (click_sound(rate, sound, is_accent=is_accent)[:, 0] for is_accent in (True, False))

    assert np.abs(accent).max() == pytest.approx(1.0)
    assert abs(accent[-1]) < 0.01
    highest = [np.abs(np.fft.rfft(each, 1 << 16)).argmax() for each in (accent, beat)]
    assert highest[0] > highest[1]


def test_a_count_is_as_long_as_its_bars_at_the_tempo_there(session):
    counted = count_in(replace(session, click=Click(count_in=2, level=0.0)), 0.0)

    assert counted.shape == (6 * RATE // 2, 1)
    starts = [beat * RATE // 2 for beat in range(6)]
    assert all(np.abs(counted[at : at + 200]).max() > 0.3 for at in starts)
    assert not any(np.abs(counted[at + RATE // 4 : at + RATE // 2 - 10]).any() for at in starts)
    assert count_in(session, 0.0).shape == (0, 1)
