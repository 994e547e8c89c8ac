"""Kits on keys: prepared in a thread, played to the bit, shaped as the session has them, given back."""

from types import SimpleNamespace

import numpy as np
import pytest

from chronotome.bridge.keys import KEPT_KITS, Keys
from chronotome.bridge.playing_in import PlayingIn
from chronotome.engine.control import Word
from chronotome.engine.key_player import NOWHERE
from chronotome.engine.kit_table import Note, NoteKind
from chronotome.session.edits.kits import make_kit, set_kit, set_slice
from chronotome.session.edits.patterns import new_pattern, play_pattern
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.timing import set_beat_one

FRAMES = (2000, 26000, 50000, 74000)
LATER = 4096


@pytest.fixture
def kit(works):
    """Four hits of a drum on keys, at 120."""
    works.recordings.add_files([works.drum("kit.wav", FRAMES, channels=2)])
    works.settle()
    works.store.apply(lambda s: set_beat_one(set_tempo(s, 120.0), 0.0), "Fit")
    keys = Keys(works.store, works.recordings, works.player, works.arena, works.store)
    track = works.store.session.tracks[0]
    works.store.apply(lambda s: make_kit(s, (track.id, track.clips[0].id)), "Kit")
    keys.use(works.store.session.kits[0].id)
    yield SimpleNamespace(
        works=works, store=works.store, keys=keys, qtbot=works.qtbot, place=(track.id, track.clips[0].id)
    )
    keys.close()


def prepared(kit):
    kit.keys.wait()
    kit.qtbot.wait(20)


def played(kit, key, velocity=1.0):
    """What a key lets sound."""
    prepared(kit)
    player = kit.works.player
    player.start(48000)
    before = player.control.get(Word.PLAYED)
    kit.keys.press(key, velocity)
    player.step(LATER // 512 + 90)
    heard = player.played()[before:]
    starts = np.flatnonzero(np.abs(heard).max(axis=1) > 1e-4)
    return heard[starts[0] :] if len(starts) else heard[:0]


def piece(kit, key=0):
    return kit.store.session.kits[0].on_key(key)


def change(kit, **values):
    kit.store.apply(lambda s: set_slice(s, s.kits[0].id, {piece(kit).id}, **values), "Slice")


def test_a_key_plays_its_slice_to_the_bit_and_as_loud_as_it_is_struck(kit):
    own = piece(kit)
    source = kit.works.recordings.pool.get(own.recording).region.samples
    heard = played(kit, own.key)
    sound = source[own.start : own.end]
    began = int(np.flatnonzero(np.abs(sound).max(axis=1) > 1e-4)[0])
    np.testing.assert_allclose(heard[200:8000], sound[began + 200 : began + 8000], atol=2e-7)

    softer = played(kit, own.key, 0.25)
    np.testing.assert_allclose(softer[200:8000], 0.25 * heard[200:8000], atol=1e-6)


def test_an_empty_key_is_silent(kit):
    assert not len(played(kit, 60))


def test_a_slice_that_is_shaped_sounds_shaped_from_keys_too(kit):
    plain = played(kit, 0)
    change(kit, loudness=-6.0206)
    np.testing.assert_allclose(played(kit, 0)[200:4000], plain[200:4000] / 2, atol=1e-4)
    change(kit, loudness=0.0, is_reversed=True)
    backwards = played(kit, 0)
    assert int(np.abs(backwards).max(axis=1).argmax()) > int(np.abs(plain).max(axis=1).argmax()) + 4000
    change(kit, is_reversed=False, fade_in=100.0)
    faded = played(kit, 0)
    assert np.abs(faded[:400]).max() < 0.25 * np.abs(plain[:400]).max()


def test_a_slice_ends_without_a_click_from_keys_as_from_steps(kit):
    change(kit, loudness=12.0)
    own = piece(kit)
    kit.store.apply(lambda s: set_slice(s, s.kits[0].id, {own.id}, end=own.start + 3000), "Cut short")
    heard = played(kit, own.key)[:3000]
    assert np.abs(heard[-2:]).max() < 0.1 * np.abs(heard[-900:-300]).max()


def test_a_kit_an_octave_up_by_tape_is_half_as_long(kit):
    def length(heard):
        """Frames that hold nearly all of it."""
        energy = np.cumsum((heard.astype(np.float64) ** 2).sum(axis=1))
        return int(energy.searchsorted(0.99 * energy[-1]))

    plain = length(played(kit, 1))
    kit.store.apply(lambda s: set_kit(s, s.kits[0].id, semitones=12.0), "Pitch")
    assert length(played(kit, 1)) == pytest.approx(plain / 2, rel=0.1)
    kit.store.apply(lambda s: set_kit(s, s.kits[0].id, by_tape=False), "Length kept")
    assert length(played(kit, 1)) == pytest.approx(plain, rel=0.1)


def test_a_kit_that_fits_the_song_is_rendered_anew_for_another_tempo_and_only_then(kit):
    prepared(kit)
    asked = kit.keys._asked
    kit.store.apply(lambda s: set_tempo(s, 60.0), "Slower")
    assert kit.keys._asked == asked
    kit.store.apply(lambda s: set_kit(s, s.kits[0].id, fits_song=True), "Fits")
    fitted = kit.keys._asked
    kit.store.apply(lambda s: set_tempo(s, 90.0), "Faster")
    assert fitted != kit.keys._asked
    prepared(kit)
    assert kit.keys.ready == len(kit.store.session.kits[0].slices)


def test_kits_that_are_no_longer_on_keys_give_their_memory_back(kit):
    prepared(kit)
    sizes = []
    for number in range(12):
        change(kit, tilt=float(number % 2 + 1))
        prepared(kit)
        sizes.append(kit.works.arena.resident_bytes)
    assert max(sizes[KEPT_KITS + 1 :]) == sizes[KEPT_KITS + 1]


def test_undone_the_keys_are_silent_and_a_session_without_kits_has_none(kit):
    assert len(played(kit, 0))
    kit.store.undo()
    assert kit.keys.kit is None
    assert not len(played(kit, 0))


def test_what_is_played_where_no_pattern_is_or_nothing_sounds_is_not_written(kit):
    store = kit.store
    playing_in = PlayingIn(store, kit.works.transport, kit.keys)
    store.apply(lambda s: new_pattern(s, s.kits[0].id, 4.0), "Pattern")
    number = store.session.patterns[0].id
    store.apply(lambda s: play_pattern(s, None, number, 4.0), "Play")
    track = store.session.tracks[-1]
    before = store.session
    playing_in.begin((track.id, track.clips[0].id), number)
    rate = store.session.rate

    def play(*notes):
        kit.keys.played.emit([Note(NoteKind.START, key, 1.0, 0, frame) for key, frame in notes])

    play((0, NOWHERE), (0, round(1.0 * rate)), (0, round(4.2 * rate)), (77, round(2.5 * rate)))
    assert store.session is before
    play((0, round(1.9 * rate)), (1, round(2.5 * rate)))  # a little before the clip is its start
    assert store.session.patterns[0].places == (0.0, 1.0)
    assert playing_in.played == 2
    store.apply(lambda s: set_tempo(s, 121.0), "Something else")
    play((2, round(2.9 * rate)))
    assert len(store.session.patterns[0]) == 3
    assert playing_in.take_back()
    assert len(store.session.patterns[0]) == 2
    playing_in.end()
    play((2, round(3.0 * rate)))
    assert len(store.session.patterns[0]) == 2
    assert not playing_in.take_back()
