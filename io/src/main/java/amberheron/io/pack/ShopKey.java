package amberheron.io.pack;

import static amberheron.core.units.Phrase.say;

import amberheron.io.PrivateFile;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.Signature;
import java.security.spec.PKCS8EncodedKeySpec;
import java.security.spec.X509EncodedKeySpec;
import java.util.Base64;
import java.util.Optional;

/**
 * The shop's own key, with which it signs its packs: Ed25519 (RFC 8032). The private part never leaves its file, which nobody
 * but its owner reads; the public part is printed on every sheet, so that whoever has one can tell who made a pack.
 */
public final class ShopKey {
    /** The file in the home folder: private part and public part, a line each, Base64. */
    public static final String FILE = "pack-key";
    private static final String ALGORITHM = "Ed25519";
    private static final long MOST_BYTES = 1 << 12;

    private final PrivateKey secret;
    private final String shown;

    private ShopKey(PrivateKey secret, String shown) {
        this.secret = secret;
        this.shown = shown;
    }

    /**
     * Returns the key of a home folder; empty where none was made.
     *
     * @throws UnusableInput when its file cannot be used, or others can read it
     */
    public static Optional<ShopKey> in(Path home) {
        Path file = home.resolve(FILE);
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        PrivateFile.require(file, say("the key that signs packs"));
        String[] lines = TextFiles.read(file, MOST_BYTES).strip().split("\\s+", -1);
        try {
            PrivateKey secret = KeyFactory.getInstance(ALGORITHM)
                    .generatePrivate(new PKCS8EncodedKeySpec(Base64.getDecoder().decode(lines[0])));
            ShopKey key = new ShopKey(secret, lines[lines.length - 1]);
            byte[] probe = lines[0].getBytes(java.nio.charset.StandardCharsets.US_ASCII);
            if (lines.length != 2 || !isSignedBy(key.shown, probe, key.sign(probe))) {
                throw unusable(file);
            }
            return Optional.of(key);
        } catch (GeneralSecurityException | IllegalArgumentException e) {
            throw unusable(file);
        }
    }

    private static UnusableInput unusable(Path file) {
        return new UnusableInput(file.toString(), "",
                say("is not a key as it was made, expected two lines; put it back from where it was "
                        + "kept, or put it aside"));
    }

    /**
     * Makes a key; one that is there stays.
     *
     * @throws UnusableInput when it cannot be kept
     */
    public static ShopKey make(Path home) {
        Optional<ShopKey> there = in(home);
        if (there.isPresent()) {
            return there.get();
        }
        try {
            KeyPair made = KeyPairGenerator.getInstance(ALGORITHM).generateKeyPair();
            String shown = Base64.getEncoder().encodeToString(made.getPublic().getEncoded());
            TextFiles.replacePrivate(home.resolve(FILE),
                    (Base64.getEncoder().encodeToString(made.getPrivate().getEncoded()) + "\n" + shown + "\n")
                            .getBytes(java.nio.charset.StandardCharsets.US_ASCII));
            return new ShopKey(made.getPrivate(), shown);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        } catch (IOException e) {
            throw new UnusableInput(home.resolve(FILE).toString(), "",
                    say("cannot be written: %s", TextFiles.reason(e)));
        }
    }

    /** The public part, as it is printed: Base64 of its X.509 form, 60 characters. */
    public String shown() {
        return shown;
    }

    /** Signs a text. */
    byte[] sign(byte[] text) {
        try {
            Signature signature = Signature.getInstance(ALGORITHM);
            signature.initSign(secret);
            signature.update(text);
            return signature.sign();
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    /**
     * Whether a text was signed with the key of this public part.
     *
     * @param shown the public part, Base64
     */
    static boolean isSignedBy(String shown, byte[] text, byte[] signed) {
        try {
            PublicKey key = KeyFactory.getInstance(ALGORITHM)
                    .generatePublic(new X509EncodedKeySpec(Base64.getDecoder().decode(shown)));
            Signature signature = Signature.getInstance(ALGORITHM);
            signature.initVerify(key);
            signature.update(text);
            return signature.verify(signed);
        } catch (GeneralSecurityException | IllegalArgumentException e) {
            // Whatever is no key, or no signature, proves nothing.
            return false;
        }
    }
}
