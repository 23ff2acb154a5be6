/**
 * The application: pages, JSON API and storage round the rules of the core. One package a screen.
 */
package org.myrialith.web;
