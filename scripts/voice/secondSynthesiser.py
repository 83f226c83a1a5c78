"""Says words with eSpeak NG (from Debian's packages) and tells when each phone begins.

Reads {"voices": [...], "texts": [...]} from standard input; writes one line of JSON for each voice and text:
{"voice", "text", "sampleRate", "onset", "end", "pcm"}, where `onset` and `end` (seconds) are those of the first full vowel, or of the
first reduced one where there is no other, and `pcm` is 16-bit PCM in base64.
"""

import base64
import ctypes
import json
import struct
import sys

RETRIEVAL, PHONEMES, UTF8 = 1, 1, 1
END, PHONEME = 0, 7
VOWELS = "aeiouAEIOUV3@0"
REDUCED = ("@", "I#", "I2", "a#", "3#", "@2", "@-")


class Id(ctypes.Union):
    _fields_ = [("number", ctypes.c_int), ("name", ctypes.c_char_p), ("string", ctypes.c_char * 8)]


class Event(ctypes.Structure):
    _fields_ = [
        ("type", ctypes.c_int),
        ("unique", ctypes.c_uint),
        ("position", ctypes.c_int),
        ("length", ctypes.c_int),
        ("at", ctypes.c_int),
        ("sample", ctypes.c_int),
        ("user", ctypes.c_void_p),
        ("id", Id),
    ]


library = ctypes.CDLL("libespeak-ng.so.1")
rate = library.espeak_Initialize(RETRIEVAL, 0, None, PHONEMES)
samples, phones = [], []


@ctypes.CFUNCTYPE(ctypes.c_int, ctypes.POINTER(ctypes.c_short), ctypes.c_int, ctypes.POINTER(Event))
def said(wave, count, events):
    if wave and count > 0:
        samples.extend(wave[:count])
    i = 0
    while events[i].type != END:
        if events[i].type == PHONEME:
            phones.append((events[i].sample, events[i].id.string.decode()))
        i += 1
    return 0


library.espeak_SetSynthCallback(said)
asked = json.load(sys.stdin)
for voice in asked["voices"]:
    if library.espeak_SetVoiceByName(voice.encode()) != 0:
        sys.exit(f"There is no voice {voice}.")
    for text in asked["texts"]:
        samples.clear()
        phones.clear()
        written = text.encode()
        library.espeak_Synth(written, len(written) + 1, 0, 0, 0, UTF8, None, None)
        library.espeak_Synchronize()
        ends = [at for at, _ in phones[1:]] + [len(samples)]
        vowels = [(at, end, name) for (at, name), end in zip(phones, ends) if name[:1] in VOWELS]
        full = [vowel for vowel in vowels if vowel[2] not in REDUCED] or vowels
        if not full:
            continue
        at, end, _ = full[0]
        line = {"voice": voice, "text": text, "sampleRate": rate, "onset": at / rate, "end": end / rate}
        line["pcm"] = base64.b64encode(struct.pack(f"<{len(samples)}h", *samples)).decode()
        print(json.dumps(line))
