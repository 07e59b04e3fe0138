package org.scholion.server.mail;

/** A mail server on this machine that delivers to nobody, for a school that is made up. */
public interface SimulatedServer {
    int port();
}
