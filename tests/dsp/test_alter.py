"""What the networks are taught must be true: the truth goes where the sound goes."""

from types import SimpleNamespace

import numpy as np
import pytest

import alter
import make_sets
from alter import Heard
from chronotome.dsp.network import Network
from join_networks import joined
from sounds import RATE, noise_hits

GENERATOR = """
import sys
from types import SimpleNamespace

SF2 = ""

def build_cases(seed):
    return [SimpleNamespace(name=name) for name in ("so_choir", "dr_rock", "ba_slap")]

def main():
    print(SF2, *(case.name for case in build_cases(1)), *sys.argv[1:])
"""
STARTS = [6000 + 13000 * place + 61 * place * place for place in range(14)]
LENGTH = 240000


def heard(seed=3, loudness=None):
    count = len(STARTS)
    no = np.zeros(count, bool)
    samples = noise_hits(STARTS, LENGTH, loudness=loudness, seed=seed, decay=0.05)
    starts = np.array(STARTS, float)
    return Heard(samples, RATE, starts, np.zeros(count), no, no.copy(), no.copy(), np.zeros(0))


def level(samples, start, seconds):
    part = samples[max(0, int(start)) : int(start + seconds * RATE)]
    return float(np.sqrt(np.mean(part.astype(np.float64) ** 2))) if len(part) else 0.0


@pytest.mark.parametrize("seed", range(6))
@pytest.mark.parametrize("change", [alter.glued, alter.with_gaps, alter.later])
def test_every_start_that_is_kept_has_a_stroke_and_quiet_before_it(change, seed):
    changed = change(heard(), np.random.default_rng(seed))

    assert len(changed.starts) >= len(STARTS) - 2
    for start in changed.starts:
        after, before = (
            level(changed.samples, start, 0.002),
            level(changed.samples, start - 0.002 * RATE, 0.002),
        )
        assert after > 4 * before


class Least:
    """Draws the shortest gap as early before the stroke as there is."""

    def choice(self, values):
        return values[0] or values[-1]

    def uniform(self, low, _high):
        return low

    def random(self):
        return 0.0


def test_a_stroke_with_no_room_for_a_gap_before_it_has_none():
    first = heard()
    by = 120 - STARTS[0]
    early = first.moved(first.starts + by, first.silent, np.roll(first.samples, by, axis=0))

    changed = alter.with_gaps(early, Least())

    np.testing.assert_array_equal(changed.samples[:200], early.samples[:200])


def test_slices_in_another_order_keep_their_rows_together():
    first = heard(loudness=np.linspace(0.2, 0.9, len(STARTS)).tolist())
    first.slack[:] = np.linspace(0.2, 0.9, len(STARTS))

    changed = alter.glued(first, np.random.default_rng(1))

    order = np.argsort(changed.starts)
    assert not np.array_equal(changed.slack[order], np.sort(changed.slack))
    peaks = alter.levels_at(changed.samples, changed.starts, RATE, 0.004)
    assert np.corrcoef(peaks, changed.slack)[0, 1] > 0.95


def test_a_stroke_that_drowns_in_noise_need_not_be_found():
    loudness = [0.9, 0.0005] * 7
    masked = np.zeros(len(STARTS))
    for seed in range(12):
        masked += alter.with_noise(heard(loudness=loudness), np.random.default_rng(seed)).masked

    assert masked[::2].sum() == 0
    assert masked[1::2].min() > 3


def test_what_bleeds_in_may_be_found_or_not():
    other = heard(seed=8)

    changed = alter.with_bleed(heard(), other, np.random.default_rng(2))

    np.testing.assert_array_equal(changed.silent, other.starts)
    np.testing.assert_array_equal(changed.starts, STARTS)


def test_strokes_of_both_players_count_where_they_can_be_heard():
    first, second = heard(), heard(seed=8)
    second.starts[:] += 4000
    second.samples[:] = np.roll(second.samples, 4000, axis=0)
    counts = set()
    for seed in range(8):
        both = alter.layered(first, second, np.random.default_rng(seed))
        assert len(both.starts) == 2 * len(STARTS)
        assert not both.masked[: len(STARTS)].any()
        counts.add(int(both.masked[len(STARTS) :].sum()))

    assert 0 in counts


def test_another_speed_changes_the_rate_and_no_sample():
    first = heard()

    changed = alter.at_another_speed(first, np.random.default_rng(4))

    assert changed.rate != RATE
    assert changed.samples is first.samples


@pytest.mark.parametrize("seed", range(4))
def test_a_codec_keeps_every_frame_in_its_place(seed):
    first = heard()

    changed = alter.coded(first, np.random.default_rng(seed))

    one, other = first.samples[:, 0], changed.samples[:, 0]
    lags = [float(np.dot(one[4000:-4000], np.roll(other, -lag)[4000:-4000])) for lag in range(-40, 41)]
    assert int(np.argmax(lags)) == 40


def test_a_chain_is_the_same_for_the_same_seed():
    first, second = (alter.altered(heard(), heard(seed=8), np.random.default_rng(11)) for _ in range(2))

    np.testing.assert_array_equal(first.samples, second.samples)
    np.testing.assert_array_equal(first.starts, second.starts)


def test_joined_networks_answer_the_mean_of_both():
    random = np.random.default_rng(6)

    def made(hidden):
        layers = {"it.mean": random.normal(size=5) / 4, "it.scale": random.uniform(1, 2, 5)}
        for layer, (wide, deep) in enumerate(((5, hidden), (hidden, 4), (4, 1))):
            layers[f"it.weights{layer}"] = random.normal(size=(wide, deep)).astype(np.float16)
            layers[f"it.biases{layer}"] = random.normal(size=deep).astype(np.float32)
        return layers

    def answers(layers, features):
        weights = tuple(layers[f"it.weights{layer}"].astype(np.float32) for layer in range(3))
        biases = tuple(layers[f"it.biases{layer}"] for layer in range(3))
        return Network(layers["it.mean"], layers["it.scale"], weights, biases)(features)

    one, other = made(7), made(3)
    features = random.normal(size=(40, 5)).astype(np.float32)

    both = answers(joined("it", one, other), features)

    np.testing.assert_allclose(both, (answers(one, features) + answers(other, features)) / 2, atol=0.05)


def test_varied_sets_let_another_instrument_play_what_starts_slowly():
    written = []

    def line(program, *rest, **more):
        written.append((program, rest, more))

    make = SimpleNamespace(
        SOFT_PROGS={48, 52}, ORGAN=16, STRINGS=48, CHOIR=52, OOH=53, line=line, chords=line
    )
    make_sets.vary(make, 5)

    for program in (48, 52, 53, 16, 33):
        make.line(program, "voice", gain=2)
        make.chords(program, "voice")

    programs = [program for program, _, _ in written]
    assert programs[8:] == [33, 33]
    assert set(programs[:8]) <= set(make_sets.SUSTAINED)
    assert len(set(programs[:8])) > 3
    assert set(make_sets.SUSTAINED) | {48, 52, 53, 16} == make.SOFT_PROGS
    assert written[0][1:] == (("voice",), {"gain": 2})


def test_a_set_is_made_of_the_wanted_parts_by_the_wanted_bank(tmp_path, monkeypatch, capsys):
    (tmp_path / "make_set.py").write_text(GENERATOR)
    said = f"make_sets.py out --seed 7 --bank bank.sf2 --only so_,ba_ --eval {tmp_path}"
    monkeypatch.setattr("sys.argv", said.split())

    make_sets.main()

    assert capsys.readouterr().out.split() == ["bank.sf2", "so_choir", "ba_slap", "out", "--seed", "7"]
