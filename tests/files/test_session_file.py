import contextlib
import errno
import os
from pathlib import Path

import msgspec
import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from chronotome.dsp.stretch.engines import MoveBy
from chronotome.dsp.stretch.gaps import Fill
from chronotome.errors import CannotWrite, ChronotomeError, MissingRecordings, UnusableFile
from chronotome.files import session_file
from chronotome.files.history_lines import LedgerReader, LedgerWriter, whole_lines
from chronotome.files.session_file import (
    VERSION,
    check_place,
    find_recordings,
    is_session,
    load_session,
    save_session,
    schema,
)
from chronotome.session.edits.clips import group, reverse, set_clip, split
from chronotome.session.edits.hits import copy, move
from chronotome.session.edits.shaping import set_roll, set_value
from chronotome.session.edits.slicing import Cuts, take_apart
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_own_recipe
from chronotome.session.edits.tracks import set_level, set_moving, set_size
from chronotome.session.history import History
from chronotome.session.model import TrackSize
from chronotome.session.slices import Roll
from sounds import noise_hits, write
from strategies import edits, sessions, simple_session, with_audio

SEVEN = '{"bar": 4, "metre": {"beats": 7, "unit": 8}}'
SCHEMA = Path(__file__).parents[2] / "docs" / "session.schema.json"


@pytest.fixture
def saved(tmp_path):
    session, places = with_audio(simple_session([0, 6000], 20000), tmp_path)
    history = History(session).then(set_tempo(session, 99.0), "Set tempo")
    save_session(tmp_path / "ferry", history, places)
    return tmp_path / "ferry"


def test_a_session_comes_back_as_it_was_history_and_files_included(saved):
    opened = load_session(saved)

    assert opened.history.undo_label == "Set tempo"
    assert opened.history.session.tempo.at(0.0) == 99.0
    assert opened.history.undone().session.tempo.at(0.0) == 120.0
    assert list(opened.places.values()) == [saved / "audio" / "take.wav"]
    assert not opened.missing


@given(sessions(), st.lists(st.one_of(edits(), st.sampled_from(["undo", "redo"])), max_size=8))
@settings(deadline=None, max_examples=25, suppress_health_check=[HealthCheck.too_slow])
def test_every_history_survives_the_ledger_and_shares_as_before(session, changes):
    history = History(session)
    for change in changes:
        if change == "undo":
            history = history.undone()
        elif change == "redo":
            history = history.redone()
        else:
            history = history.then(change(history.session), "Edit")
    reader = LedgerReader()

    reader.read(LedgerWriter().whole(history))

    back = reader.history
    assert back is not None
    assert back.session == history.session
    assert [step.label for step in back.past] == [step.label for step in history.past]
    assert [step.session for step in back.future] == [step.session for step in history.future]
    recordings = {id(step.session.recordings[0]) for step in (*back.past, *back.future)}
    assert len(recordings | {id(back.session.recordings[0])}) == 1


def test_saving_again_keeps_one_history_and_changes_no_recording(saved):
    opened = load_session(saved)
    before = (saved / "audio" / "take.wav").stat().st_mtime_ns
    history = opened.history.then(set_level(opened.history.session, 2, -3.0), "Set level")

    save_session(saved, history, opened.places)

    assert load_session(saved).history.undo_label == "Set level"
    assert [path.name for path in saved.glob("history-*")] == ["history-2.jsonl"]
    assert (saved / "audio" / "take.wav").stat().st_mtime_ns == before


def test_a_lost_history_does_not_lose_the_session(saved):
    (saved / "history-1.jsonl").write_bytes(b'{"event": "history"')

    opened = load_session(saved)

    assert opened.history.session.tempo.at(0.0) == 99.0
    assert "history" in opened.note


@pytest.mark.parametrize(
    ("change", "words"),
    [
        (lambda text: text.replace(f'"version": {VERSION}', '"version": 7'), "newer Chronotome"),
        (lambda text: text.replace("chronotome-session", "something-else"), "is not a Chronotome session"),
        (lambda text: text[: len(text) // 2], "damaged"),
        (lambda text: text.replace('"take.wav"', '"../../take.wav"'), "outside its folder"),
        (lambda text: text.replace('"take.wav"', '"/etc/passwd"'), "outside its folder"),
        (lambda text: text.replace('"swing": 50.0', '"swing": "much"'), "damaged: .*swing"),
        (lambda text: text.replace('"next_id": 3', '"next_id": 1'), "damaged"),
        (
            lambda text: text.replace('"metre_changes": []', f'"metre_changes": [{SEVEN}, {SEVEN}]'),
            "must rise",
        ),
        (lambda text: text.replace('"metre_changes": []', '"metre_changes": [{"bar": 0}]'), "damaged"),
    ],
)
def test_documents_that_cannot_be_used_say_why_and_are_left_untouched(saved, change, words):
    document = saved / "session.json"
    document.write_text(change(document.read_text()))
    before = document.read_bytes()

    with pytest.raises(UnusableFile, match=words):
        load_session(saved)

    assert document.read_bytes() == before


@given(st.data())
@settings(deadline=None, max_examples=60, suppress_health_check=[HealthCheck.function_scoped_fixture])
def test_a_damaged_document_raises_nothing_but_sentences(saved, data):
    whole = (saved / "session.json").read_bytes()
    at = data.draw(st.integers(0, len(whole) - 1))
    damaged = whole[:at] + data.draw(st.binary(max_size=8)) + whole[at + data.draw(st.integers(0, 40)) :]
    copy = saved.parent / "copy"
    copy.mkdir(exist_ok=True)
    (copy / "session.json").write_bytes(damaged)

    with contextlib.suppress(ChronotomeError):
        load_session(copy)


def test_bytes_that_are_no_text_are_damage_too(saved):
    document = saved / "session.json"
    whole = document.read_bytes()
    document.write_bytes(whole.replace(b"chronotome-session", b"chrono\x80ome-session", 1))

    with pytest.raises(UnusableFile, match="damaged"):
        load_session(saved)


def test_a_missing_recording_is_told_and_found_by_its_content(saved, tmp_path):
    (saved / "audio" / "take.wav").rename(tmp_path / "renamed.wav")
    (tmp_path / "take.wav").write_bytes(b"something else")

    opened = load_session(saved)

    found = find_recordings(opened.missing, [tmp_path])
    assert list(opened.missing.values()) == ["take.wav"]
    assert list(found.values()) == [tmp_path / "renamed.wav"]
    with pytest.raises(MissingRecordings, match="take.wav"):
        save_session(tmp_path / "elsewhere", opened.history, opened.places)


def test_a_recording_that_changed_since_is_not_saved_as_if_it_had_not(tmp_path):
    session, places = with_audio(simple_session([0], 20000), tmp_path)
    write(tmp_path / "take.wav", noise_hits([900], 20000), rate=48000)

    with pytest.raises(MissingRecordings, match="take.wav"):
        save_session(tmp_path / "ferry", History(session), places)

    assert not (tmp_path / "ferry" / "session.json").exists()


@pytest.mark.parametrize("number", [errno.ENOSPC, errno.EACCES, errno.EIO])
def test_a_save_that_fails_leaves_the_last_one(saved, monkeypatch, number):
    opened = load_session(saved)
    history = opened.history.then(set_tempo(opened.history.session, 50.0), "Set tempo")

    def fail(_file):
        raise OSError(number, os.strerror(number))

    monkeypatch.setattr(session_file.os, "fsync", fail)
    with pytest.raises(CannotWrite, match="session.json"):
        save_session(saved, history, opened.places)
    monkeypatch.undo()

    assert load_session(saved).history.session.tempo.at(0.0) == 99.0
    assert not list(saved.rglob("*.part"))


def test_other_peoples_folders_are_not_saved_into(saved, tmp_path):
    check_place(saved)
    check_place(tmp_path / "new")
    with pytest.raises(CannotWrite, match="contains other files"):
        check_place(tmp_path)
    with pytest.raises(CannotWrite, match="a file with this name"):
        check_place(tmp_path / "take.wav")
    assert is_session(saved)
    assert not is_session(tmp_path)


def test_a_line_that_was_cut_short_is_no_line():
    assert list(whole_lines(b'{"a":1}\n{"b":2}\n{"c"')) == [b'{"a":1}', b'{"b":2}']


def test_the_schema_in_docs_is_the_one_of_the_code():
    assert msgspec.json.decode(SCHEMA.read_bytes()) == msgspec.json.decode(msgspec.json.encode(schema()))


def test_what_clips_and_tracks_are_is_there_again_and_parts_share_their_take(tmp_path):
    session, files = with_audio(simple_session([1000, 13000, 25000, 37000], 48000), tmp_path)
    track, clip = session.tracks[0].id, session.tracks[0].clips[0].id
    session = reverse(session, [(track, clip)])
    session = split(session, track, [20000, 30000])
    places = [(track, each.id) for each in session.tracks[0].clips]
    session = group(session, places[:2])
    session = set_own_recipe(session, track, session.tracks[0].clips[0].take, is_own=True)
    session = set_size(set_clip(session, places[:1], fade_in=0.25, name="verse"), track, TrackSize.FOLDED)
    history = History(set_size(session, track, TrackSize.TALL)).then(session, "Fold")

    save_session(tmp_path / "saved", history, files)
    loaded = load_session(tmp_path / "saved").history

    assert (loaded.session, loaded.past[0].session) == (history.session, history.past[0].session)
    first, second, third = loaded.session.tracks[0].clips
    assert first.take is second.take is third.take
    assert first.group == second.group != 0


def taken_apart(tmp_path):
    """Steps of hits that were moved and shaped one by one, and what each holds."""
    session, files = with_audio(simple_session(list(range(1000, 400_000, 4000)), 400_000), tmp_path)
    place = session.tracks[0].id, session.tracks[0].clips[0].id
    history = History(session).then(take_apart(session, place, Cuts()), "Slice clip")
    ids = history.session.tracks[0].clips[0].take.slices.ids
    for number in range(30):
        edit = (
            set_value(history.session, place, "pitch", {ids[number]: 3.0}),
            set_roll(history.session, place, ids[number : number + 1], Roll(3 + number % 5)),
            move(history.session, place, ids[number : number + 1], 0.01),
            copy(history.session, place, ids[number : number + 1], 8.0),
        )[number % 4]
        history = history.then(edit, "Shape")
    return history, files


def test_hits_of_every_step_are_there_again_and_steps_are_small(tmp_path):
    history, files = taken_apart(tmp_path)

    save_session(tmp_path / "saved", history, files)
    loaded = load_session(tmp_path / "saved").history

    assert loaded.session == history.session
    assert [each.session for each in loaded.past] == [each.session for each in history.past]
    lines = next((tmp_path / "saved").glob("history-*")).read_bytes().split(b"\n")
    shaped = [line for line in lines if b'"slices.semitones"' in line]
    assert len(shaped) == 15  # eight times another pitch, seven copies
    assert max(map(len, shaped[1:])) < 120


@pytest.mark.parametrize(
    ("old", "new"),
    [
        (b'"slices.ids"', b'"slices.no"'),
        (b'"columns":{"ids":', b'"columns":{"idz":'),
        (b'"slices":[{', b'"slices":[null,{'),
        (b'"rolls":[{"count":4', b'"rolls":[{"count":400'),
    ],
)
def test_a_history_whose_slices_were_changed_is_told_of_and_the_session_stays(tmp_path, old, new):
    history, files = taken_apart(tmp_path)
    save_session(tmp_path / "saved", history, files)
    path = next((tmp_path / "saved").glob("history-*"))
    assert old in path.read_bytes()
    path.write_bytes(path.read_bytes().replace(old, new))

    opened = load_session(tmp_path / "saved")

    assert opened.note is not None
    assert opened.history.session == history.session


def test_how_tracks_are_moved_is_read_from_where_it_stood_before(tmp_path):
    """A session of the version before, with its history: what it is now, and what it was at each step."""
    session, places = with_audio(simple_session([0, 6000], 20000), tmp_path)
    track = session.tracks[0].id
    history = History(session)
    for values in ({"by": MoveBy.CUTTING}, {"fill": Fill.NOTHING, "semitones": 2.5}, {"bears": 1.5}):
        history = history.then(set_moving(history.session, track, **values), "Change method")
    save_session(tmp_path / "ferry", history, places)
    for path in (tmp_path / "ferry" / "session.json", *(tmp_path / "ferry").glob("history*")):
        text = path.read_text().replace(f'"version": {VERSION}', '"version": 2')
        lines = [
            msgspec.json.decode(line) for line in ([text] if path.suffix == ".json" else text.splitlines())
        ]
        for written in lines:
            tracks = written["session"]["tracks"] if path.suffix == ".json" else [written.get("value")]
            for each in tracks:
                if isinstance(each, dict) and "moving" in each:
                    moving = each.pop("moving")
                    for name in ("keeps", "fill", "bears", "semitones"):
                        each[name] = moving[name]
                    each["move_by"] = moving["by"]
        path.write_bytes(b"".join(msgspec.json.encode(written) + b"\n" for written in lines))

    opened = load_session(tmp_path / "ferry")

    assert opened.history.session == history.session
    assert [step.session for step in opened.history.past] == [step.session for step in history.past]


def test_a_stranger_of_the_same_name_in_the_folder_of_recordings_is_kept(tmp_path):
    session, places = with_audio(simple_session([0], 20000), tmp_path)
    (tmp_path / "ferry" / "audio").mkdir(parents=True)
    (tmp_path / "ferry" / "audio" / "take.wav").write_bytes(b"mine")

    now = save_session(tmp_path / "ferry", History(session), places)

    assert (tmp_path / "ferry" / "audio" / "take (other 1).wav").read_bytes() == b"mine"
    assert load_session(tmp_path / "ferry").places == now


def test_pipes_and_devices_among_the_recordings_hold_up_nobody(tmp_path):
    session, places = with_audio(simple_session([0], 20000), tmp_path)
    folder = tmp_path / "ferry"
    save_session(folder, History(session), places)
    (folder / "audio" / "take.wav").rename(folder / "audio" / "moved.wav")
    os.mkfifo(folder / "audio" / "a pipe.wav")
    (folder / "audio" / "zero.wav").symlink_to("/dev/zero")

    assert list(load_session(folder).places.values()) == [folder / "audio" / "moved.wav"]


def test_a_filling_of_gaps_that_is_no_more_is_read_as_what_begins_alike(tmp_path):
    session, places = with_audio(simple_session([0, 6000], 20000), tmp_path)
    session = set_moving(session, session.tracks[0].id, by=MoveBy.CUTTING, fill=Fill.AGAIN)
    save_session(tmp_path / "ferry", History(session), places)
    path = tmp_path / "ferry" / "session.json"
    path.write_text(path.read_text().replace('"tail again"', '"tail reversed"'))

    assert load_session(path).history.session.tracks[0].moving.fill is Fill.TO_AND_FRO
