"""MIDI files: whatever stands in one, reading it ends, and notes are where they are written."""

import io

import mido
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.errors import Cancelled, UnusableFile
from chronotome.files.marks import read_marks
from chronotome.files.midi_in import MOST_EVENTS, read_midi


def file_of(*tracks, ticks=480):
    head = b"MThd" + (6).to_bytes(4, "big") + (1).to_bytes(2, "big") + len(tracks).to_bytes(2, "big")
    return head + ticks.to_bytes(2, "big") + b"".join(b"MTrk" + len(t).to_bytes(4, "big") + t for t in tracks)


def written(messages, ticks=480):
    file = mido.MidiFile(ticks_per_beat=ticks)
    file.tracks.append(mido.MidiTrack(messages))
    out = io.BytesIO()
    file.save(file=out)
    return out.getvalue()


SOON = st.integers(0, 9)


@given(
    st.lists(
        st.one_of(
            st.builds(
                mido.Message,
                st.sampled_from(["note_on", "note_off"]),
                note=st.integers(0, 127),
                velocity=st.integers(0, 127),
                time=st.integers(0, 5000),
            ),
            st.builds(
                mido.MetaMessage,
                st.just("set_tempo"),
                tempo=st.integers(1, 9_000_000),
                time=st.integers(0, 9),
            ),
            st.builds(mido.Message, st.just("pitchwheel"), pitch=st.integers(-8192, 8191), time=SOON),
            st.builds(mido.Message, st.just("sysex"), data=st.tuples(st.integers(0, 127))),
            st.builds(mido.Message, st.just("program_change"), program=st.integers(0, 127)),
        ),
        max_size=30,
    ),
    st.integers(1, 32767),
)
def test_notes_are_where_another_reader_finds_them(messages, ticks):
    data = written(messages, ticks)
    now, theirs = 0.0, []
    for message in mido.MidiFile(file=io.BytesIO(data)):
        now += message.time
        if message.type in {"note_on", "note_off"}:
            is_on = message.type == "note_on"
            theirs.append((message.note, message.velocity if is_on else 0, pytest.approx(now, abs=1e-6)))

    read = read_midi(data)

    assert [(n.key, n.velocity, at) for n, at in zip(read.notes, read.seconds(), strict=True)] == theirs


def test_running_status_is_read_to_its_end_and_can_be_left(tmp_path):
    data = file_of(b"\x00\x90" + b"\x24\x40\x01" * 130_000)
    assert len(read_midi(data).notes) == 130_000

    def stop(_share):
        raise Cancelled

    with pytest.raises(Cancelled):
        read_midi(data, stop)


@pytest.mark.parametrize(
    "data",
    [
        file_of(b"\x00\x90\x24\x40", ticks=0),
        file_of(b"\x00\x90\x24\x40", ticks=0xE728),
        file_of(b"\xff\xff\xff\xff\xff"),
        file_of(b"\x00\x24\x40"),
        file_of(b"\x00\x90" + b"\x24\x40\x00" * (MOST_EVENTS + 1)),
        b"MThd nonsense",
    ],
)
def test_what_says_no_time_or_never_ends_is_refused(tmp_path, data):
    (tmp_path / "odd.mid").write_bytes(data)
    with pytest.raises(UnusableFile, match="damaged|holds"):
        read_marks(tmp_path / "odd.mid", 48000)


def test_keys_that_there_are_not_and_a_tempo_of_nothing_are_stepped_over():
    odd = b"\x00\xff\x59\x02\x40\x07" + b"\x00\xff\x51\x03\x00\x00\x00" + b"\x60\x90\x24\x40"
    read = read_midi(file_of(odd, ticks=96))
    assert list(read.seconds()) == [0.5]
    assert list(read.beats()) == [1.0]
