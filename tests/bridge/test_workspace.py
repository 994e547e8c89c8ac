"""The parts of the workspace: documents, recordings, analyses, fits."""

import shutil
import threading

import pytest

from chronotome.bridge import analyses as module
from chronotome.bridge import recordings as reading
from chronotome.dsp.bands import Instrument
from chronotome.files.fit_file import kept_fit
from chronotome.session.edits.fitting import set_recording_tempo
from chronotome.session.edits.marks import choose_material


def names(works):
    return [track.name for track in works.store.session.tracks]


def test_files_come_in_as_they_were_given_whichever_is_read_first(works, monkeypatch):
    paths = [works.drum(f"{name}.wav", seed=place) for place, name in enumerate("abc")]
    first, facts = threading.Event(), reading.facts_of

    def late(path, progress):
        if path == paths[0]:
            first.wait(5)
        elif path == paths[2]:
            first.set()
        return facts(path, progress)

    monkeypatch.setattr(reading, "facts_of", late)
    works.document.open(paths)
    works.settle()

    assert names(works) == ["a", "b", "c"]
    assert works.store.history.undo_label == "Open c.wav"


def test_hits_that_were_looked_for_in_another_material_are_not_taken(works, qtbot, monkeypatch):
    go, find, sought = threading.Event(), module._find, []

    def slow(recording, *rest):
        sought.append(recording.material if recording.is_material_chosen else None)
        if len(sought) == 1:
            go.wait(5)
        return find(recording, *rest)

    monkeypatch.setattr(module, "_find", slow)
    works.document.open([works.drum("a.wav")])
    qtbot.waitUntil(lambda: sought == [None])
    content = works.store.session.recordings[0].content
    works.store.apply(lambda s: choose_material(s, content, Instrument.SUSTAINED), "Instrument")
    qtbot.waitUntil(lambda: works.store.session.recordings[0].is_analysed)
    taken = works.store.session.recordings[0].onsets
    go.set()
    works.settle()

    assert sought == [None, Instrument.SUSTAINED]
    assert works.store.session.recordings[0].onsets is taken
    assert not works.analyses.is_looking(works.store.session.recordings[0])


@pytest.fixture
def lost(works, tmp_path):
    """A session of two recordings, both gone from its folder."""
    works.document.open([works.drum("a.wav"), works.drum("b.wav", seed=5)])
    works.settle()
    works.document.save(tmp_path / "saved")
    works.settle()
    works.document.new()
    (tmp_path / "elsewhere").mkdir()
    for place in sorted((tmp_path / "saved" / "audio").iterdir()):
        shutil.move(place, tmp_path / "elsewhere" / f"moved-{place.name}")
    works.asked = []
    works.recordings.missing.connect(lambda lost: works.asked.append(sorted(lost.values())))
    works.document.open_session(tmp_path / "saved")
    works.qtbot.waitUntil(lambda: bool(works.asked))
    return works


def test_what_is_missing_is_asked_for_until_all_of_it_is_found(lost, tmp_path, qtbot):
    assert lost.asked == [["a.wav", "b.wav"]]

    lost.recordings.find_missing([tmp_path / "elsewhere" / "moved-b.wav"])
    qtbot.waitUntil(lambda: lost.tasks.is_idle and len(lost.asked) == 2)
    assert lost.asked[1] == ["a.wav"]
    lost.recordings.find_missing([tmp_path / "elsewhere"])
    lost.settle()

    assert lost.recordings.lost == {}
    assert len(lost.asked) == 2
    assert len(lost.recordings.pool.ready()) == 2


def test_a_file_that_cannot_be_read_to_its_end_never_came_in(works, monkeypatch):
    def broken(facts, *_, **__):
        raise reading.ChronotomeError(f"“{facts.path.name}” ends too early")

    monkeypatch.setattr(reading, "load_source", broken)
    works.document.open([works.drum("a.wav")])
    works.qtbot.waitUntil(lambda: works.tasks.is_idle and bool(works.errors))

    assert works.store.session.tracks == ()
    assert (works.store.history.past, works.store.history.future) == ((), ())
    assert works.recordings.places == {}


def test_what_belongs_to_the_session_before_is_dropped(works, qtbot, monkeypatch):
    go, load = threading.Event(), reading.load_source

    def slow(*args, **options):
        go.wait(5)
        return load(*args, **options)

    monkeypatch.setattr(reading, "load_source", slow)
    works.document.open([works.drum("a.wav")])
    qtbot.waitUntil(lambda: bool(works.store.session.tracks))
    works.document.new()
    go.set()
    qtbot.waitUntil(lambda: works.tasks.is_idle)

    assert works.recordings.pool.sources == {}
    assert works.store.session.recordings == ()


def test_a_fit_that_was_changed_is_kept_for_other_sessions_but_not_one_that_was_opened(works, tmp_path):
    path = works.drum("a.wav")
    works.document.open([path])
    works.settle()
    track, content = works.store.session.tracks[0].id, works.store.session.recordings[0].content

    works.store.apply(lambda s: set_recording_tempo(s, track, 91.0), "Tempo")

    assert kept_fit(content, path) == works.store.session.recordings[0].fit
    works.fits.write(content)
    assert any("Saved" in sentence for sentence in works.said)
    works.recordings.places.clear()
    works.fits.write(content)
    assert "is missing" in works.said[-1]


def test_a_copy_writes_nothing_beside_what_it_is_a_copy_of(works, tmp_path):
    works.document.open([works.drum("a.wav")])
    works.settle()
    works.document.save(tmp_path / "saved")
    works.settle()
    works.document.open_session(tmp_path / "saved", as_copy=True)
    works.settle()
    before = sorted((tmp_path / "saved").rglob("*"))

    works.fits.write(works.store.session.recordings[0].content)

    assert "Save this copy first" in works.said[-1]
    assert sorted((tmp_path / "saved").rglob("*")) == before
    assert works.document.folder is None


def test_what_is_no_sound_is_told_and_the_others_come_in(works, tmp_path):
    (tmp_path / "notes.wav").write_text("no sound at all")

    works.document.open([tmp_path / "notes.wav", works.drum("b.wav")])
    works.settle()

    assert names(works) == ["b"]
    assert len(works.errors) == 1
    assert "notes.wav" in works.errors[0]
